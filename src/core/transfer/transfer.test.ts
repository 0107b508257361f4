import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromBytes, oklabFromHex } from '../colour/hex';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { measureSources } from '../measure/sources';
import { zoneEdges, zoneMap } from '../measure/zones';
import { extractPalette } from '../palette/extract';
import { mirror, type Picture } from '../picture/picture';
import { valueImageOf } from '../picture/value-map';
import { anySrgb } from '../testing';
import { assignment, assignmentCost } from './assignment';
import { heldPicture } from './held';
import type { AssignmentProblem } from './prices';
import { PROPOSAL_WEIGHTS, PROPOSALS, proposals, sharedDifference } from './proposals';
import { strictPicture } from './strict';
import { subjectOf, type SubjectMass } from './subject';
import { scene } from './testing';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const SQUINT = 0.008;
const CUT = { zones: 4, breaks: 'natural' as const, thresholds: [] };

const labAt = ({ data }: Picture, at: number) =>
  labFromOklab(oklabFromBytes([data[at * 4], data[at * 4 + 1], data[at * 4 + 2]]));
const subject = (picture: Picture) => subjectOf(measureSources(picture), SQUINT);
const offered = (colours: readonly Oklab[]) =>
  colours.map((colour) => ({ colour, share: null, height: null }));
const byValue = (picture: Picture, colours: readonly Oklab[]) => {
  const made = subject(picture);
  const solved = assignment({
    ...made,
    colours: offered(colours),
    weights: PROPOSAL_WEIGHTS['by value'],
  });
  return { made, of: solved.of };
};

const FOREIGN = ['#2b3340', '#8a4a32', '#c79a55', '#5c6b80', '#e3d2b0', '#5f6b45'].map(of);

describe('values held', () => {
  it.each([1, 2, 3, 4, 5, 6])('scene %i keeps its lightness and its zones', (seed) => {
    const picture = scene(seed);
    const { made, of: chosen } = byValue(picture, FOREIGN);
    const result = heldPicture(made, FOREIGN, chosen);
    const off: number[] = [];
    for (let at = 0; at < picture.width * picture.height; at++)
      off.push(Math.abs(labAt(picture, at).L - labAt(result, at).L));
    off.sort((one, other) => one - other);
    expect(off.reduce((sum, one) => sum + one, 0) / off.length).toBeLessThan(0.5);
    expect(off[Math.floor(off.length * 0.99)]).toBeLessThan(2);
    const [was, is] = [picture, result].map((one) => valueImageOf(one));
    const edges = zoneEdges(was.counts, CUT);
    const [before, after] = [was, is].map(({ map }) => zoneMap(map, edges));
    const same = before.filter((zone, i) => zone === after[i]).length;
    expect(same / before.length).toBeGreaterThan(0.98);
  });

  it.each([11, 12, 13, 14, 21, 22, 23, 24, 25, 26])(
    'a palette of scene %i itself gives it back',
    (seed) => {
      const picture = scene(seed);
      for (const count of [6, 8, 12]) {
        const { swatches } = extractPalette(picture, { count });
        const colours = swatches.map(({ colour, share }) => ({ colour, share, height: null }));
        const made = subject(picture);
        const [first] = proposals({ ...made, colours });
        const result = heldPicture(
          made,
          colours.map(({ colour }) => colour),
          first.of,
        );
        let sum = 0;
        for (let at = 0; at < picture.width * picture.height; at++)
          sum += ciede2000(labAt(picture, at), labAt(result, at));
        expect(sum / (picture.width * picture.height)).toBeLessThan(3);
      }
    },
  );

  it('a grey palette gives a grey picture, and what is kept keeps its bytes', () => {
    const picture = scene(7);
    const greys = [0.2, 0.5, 0.8].map((L) => ({ L, a: 0, b: 0 }));
    const { made, of: chosen } = byValue(picture, greys);
    const keep = new Uint8Array(picture.width * picture.height);
    keep.fill(255, 0, 400);
    const { data } = heldPicture(made, greys, chosen, keep);
    expect(data.subarray(0, 1600)).toEqual(picture.data.subarray(0, 1600));
    let most = 0;
    for (let at = 1600; at < data.length; at += 4) {
      const [r, g, b] = data.subarray(at, at + 3);
      most = Math.max(most, Math.max(r, g, b) - Math.min(r, g, b));
    }
    expect(most).toBeLessThanOrEqual(2);
  });

  it('a mirrored subject takes the same colours, mirrored', () => {
    const picture = scene(3);
    const plain = byValue(picture, FOREIGN);
    const turned = byValue(mirror(picture), FOREIGN);
    const one = heldPicture(plain.made, FOREIGN, plain.of);
    const other = mirror(heldPicture(turned.made, FOREIGN, turned.of));
    let same = 0;
    for (let at = 0; at < picture.width * picture.height; at++)
      if (ciede2000(labAt(one, at), labAt(other, at)) < 4) same++;
    // Masses are read cell by cell from the upper left: a few small ones differ in a mirror.
    expect(same / (picture.width * picture.height)).toBeGreaterThan(0.9);
  });
});

describe('nothing but the palette', () => {
  it.each([1, 2, 3, 4])('scene %i: every pixel is one of the colours, and zones hold', (seed) => {
    const picture = scene(seed);
    const image = valueImageOf(picture);
    const edges = zoneEdges(image.counts, CUT);
    const colours = [1, 2.5, 3.5, 4.5, 5.5, 6.5, 7.5, 9].map((value, i) => ({
      ...of('#808080'),
      L: 0.1 + value * 0.09,
      a: 0.03 * Math.cos(i),
      b: 0.03 * Math.sin(i),
    }));
    const { made, of: chosen } = byValue(picture, colours);
    const { picture: result, missing } = strictPicture(made, colours, chosen, edges);
    const found = new Set<string>();
    for (let at = 0; at < result.data.length; at += 4)
      found.add(result.data.subarray(at, at + 3).join());
    expect(found.size).toBeLessThanOrEqual(colours.length);
    if (missing.length > 0) return;
    const [before, after] = [image, valueImageOf(result)].map(({ map }) => zoneMap(map, edges));
    const same = before.filter((zone, i) => zone === after[i]).length;
    expect(same / before.length).toBeGreaterThan(0.95);
  });

  it('says where the palette has no such value', () => {
    const picture = scene(2);
    const edges = zoneEdges(valueImageOf(picture).counts, CUT);
    const { made, of: chosen } = byValue(picture, [of('#101010')]);
    const { missing, missed, unreached } = strictPicture(made, [of('#101010')], chosen, edges);
    expect(missing).toEqual([1, 2, 3]);
    expect(missed).toBeGreaterThan(0.4);
    // It is marked just where the zones are that are missing.
    const zones = zoneMap(valueImageOf(picture).map, edges);
    expect([...unreached]).toEqual([...zones].map((zone) => (missing.includes(zone) ? 1 : 0)));
    // What keeps its own colour is not missed.
    const keep = new Uint8Array(unreached.length).fill(255);
    expect(strictPicture(made, [of('#101010')], chosen, edges, keep).missed).toBe(0);
  });
});

const anyMass: fc.Arbitrary<SubjectMass> = fc
  .record({
    share: fc.double({ min: 0.02, max: 0.3, noNaN: true }),
    colour: anySrgb,
    x: fc.double({ min: 0, max: 1, noNaN: true }),
    y: fc.double({ min: 0, max: 1, noNaN: true }),
    light: fc.double({ min: 0, max: 1, noNaN: true }),
  })
  .map(({ share, colour, x, y, light }) => ({
    share,
    colour,
    value: valueOfOklab(colour),
    place: { x, y },
    light,
  }));

const anyProblem = (masses: number, colours: number): fc.Arbitrary<AssignmentProblem> =>
  fc.record({
    masses: fc.array(anyMass, { minLength: masses, maxLength: masses }),
    meetings: fc.uniqueArray(
      fc.record({
        one: fc.integer({ min: 0, max: masses - 2 }),
        other: fc.constant(masses - 1),
        length: fc.double({ min: 0.02, max: 0.3, noNaN: true }),
      }),
      { maxLength: 8, selector: ({ one }) => one },
    ),
    colours: fc.array(
      fc.record({
        colour: anySrgb,
        share: fc.option(fc.double({ min: 0, max: 0.6, noNaN: true })),
        height: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
      }),
      { minLength: colours, maxLength: colours },
    ),
    weights: fc.constantFrom(...PROPOSALS.map((kind) => PROPOSAL_WEIGHTS[kind])),
  });

describe('an assignment', () => {
  it('is the best of all, on eight masses and five colours', () => {
    fc.assert(
      fc.property(anyProblem(8, 5), (problem) => {
        const { cost } = assignment(problem);
        let least = Infinity;
        const every = new Array<number>(8).fill(0);
        for (let n = 0; n < 5 ** 8; n += 1) {
          let rest = n;
          for (let i = 0; i < 8; i++) {
            every[i] = rest % 5;
            rest = Math.floor(rest / 5);
          }
          // Prices are sums: the whole is walked with the cost of each mass and meeting.
          least = Math.min(least, quickCost(problem, every));
        }
        expect(cost - least).toBeLessThanOrEqual(1e-9);
      }),
      { numRuns: 6 },
    );
  }, 120_000);

  it('leaves a locked mass, and is the same again', () => {
    fc.assert(
      fc.property(anyProblem(10, 4), fc.integer({ min: 0, max: 9 }), (problem, mass) => {
        const locks = problem.masses.map((_, i) => (i === mass ? 2 : -1));
        const found = assignment({ ...problem, locks });
        expect(found.of[mass]).toBe(2);
        expect(assignment({ ...problem, locks })).toEqual(found);
        expect(assignmentCost({ ...problem, locks }, found.of)).toBeCloseTo(found.cost, 9);
      }),
      { numRuns: 40 },
    );
  });

  it('gives a colour that is wanted more at least as much room', () => {
    fc.assert(
      fc.property(anyProblem(9, 4), (problem) => {
        const room = (prominence: number[]) => {
          const { of: chosen } = assignment({ ...problem, prominence });
          return chosen.reduce(
            (sum, colour, mass) => sum + (colour === 1 ? problem.masses[mass].share : 0),
            0,
          );
        };
        expect(room([0, 1.5, 0, 0])).toBeGreaterThanOrEqual(room([0, -1.5, 0, 0]) - 1e-9);
      }),
      { numRuns: 40 },
    );
  });

  it('is none without colours', () => {
    const problem = {
      masses: [],
      meetings: [],
      colours: [],
      weights: PROPOSAL_WEIGHTS['by value'],
    };
    expect(() => assignment(problem)).toThrow(RangeError);
  });
});

describe('proposals', () => {
  it.each([1, 2, 3])('for scene %i truly differ', (seed) => {
    const made = subject(scene(seed));
    const colours = FOREIGN.map((colour, i) => ({ colour, share: 0.1 + 0.02 * i, height: i / 6 }));
    const found = proposals({ ...made, colours });
    expect(found.length).toBeGreaterThanOrEqual(2);
    found.forEach((one, i) =>
      found
        .slice(i + 1)
        .forEach((other) => expect(sharedDifference(made, one.of, other.of)).toBeGreaterThan(0.1)),
    );
  });

  it('by value the lightest mass is lighter than the darkest', () => {
    const made = subject(scene(4));
    const [first] = proposals({ ...made, colours: offered(FOREIGN) });
    const values = FOREIGN.map(valueOfOklab);
    const order = made.masses
      .map((_, i) => i)
      .sort((a, b) => made.masses[a].value - made.masses[b].value);
    const [darkest, lightest] = [order[0], order[order.length - 1]];
    expect(values[first.of[lightest]]).toBeGreaterThan(values[first.of[darkest]]);
    expect(oklchFromOklab(FOREIGN[first.of[lightest]]).L).toBeGreaterThan(0.4);
  });
});

const prices = new WeakMap<
  AssignmentProblem,
  { own: number[][]; base: number; pairs: [number, number, number][] }
>();

/** The cost of an assignment from parts that are read off single changes of it. */
function quickCost(problem: AssignmentProblem, chosen: readonly number[]): number {
  let known = prices.get(problem);
  if (!known) {
    const alone = { ...problem, meetings: [] };
    const zero = problem.masses.map(() => 0);
    const base = assignmentCost(alone, zero);
    const own = problem.masses.map((_, mass) =>
      problem.colours.map((_colour, c) => assignmentCost(alone, zero.with(mass, c)) - base),
    );
    const pairs = problem.meetings.map((meeting): [number, number, number] => {
      const single = { ...problem, meetings: [meeting] };
      return [meeting.one, meeting.other, assignmentCost(single, zero) - base];
    });
    known = { own, base, pairs };
    prices.set(problem, known);
  }
  let cost = known.base;
  for (let mass = 0; mass < chosen.length; mass++) cost += known.own[mass][chosen[mass]];
  for (const [one, other, price] of known.pairs) if (chosen[one] === chosen[other]) cost += price;
  return cost;
}
