import { oklabFromHex } from '../colour/hex';
import { oklabDistance, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { MUNSELL_SCALE } from '../colour/value-scale';
import { svgOf } from '../plan/drawing';
import { massDrawing, MAX_CANVAS } from '../plan/mass-drawing';
import { MASS_CELLS } from '../measure/masses';
import { measureSources } from '../measure/sources';
import { sampledBlocks } from '../picture/blocks';
import { colourGrid } from '../picture/colour-grid';
import { paintedBy } from '../testing';
import { echoPlaces } from './echo';
import { planMasses } from './plan-masses';
import { proposals } from './proposals';
import { freeOf, subjectOf } from './subject';
import { scene } from './testing';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const COLOURS = ['#2b3340', '#8a4a32', '#c79a55', '#5c6b80', '#e3d2b0'].map(of);

function solved(seed: number) {
  const sources = measureSources(scene(seed));
  const subject = subjectOf(sources, 0.008);
  const [first] = proposals({
    ...subject,
    colours: COLOURS.map((colour) => ({ colour, share: null, height: null })),
  });
  return { sources, subject, of: first.of };
}

/** The rings of an SVG path of M, L and Z. */
const ringsOf = (d: string) =>
  d
    .split('Z')
    .filter(Boolean)
    .map((ring) =>
      ring
        .replace('M', '')
        .split('L')
        .map((point) => point.split(' ').map(Number)),
    );

/** Whether a place lies in a path, even parts left out. */
function isIn(rings: number[][][], x: number, y: number): boolean {
  let inside = false;
  for (const ring of rings)
    ring.forEach(([x1, y1], i) => {
      const [x0, y0] = ring.at(i - 1)!;
      if (y0 > y !== y1 > y && x < x0 + ((y - y0) / (y1 - y0)) * (x1 - x0)) inside = !inside;
    });
  return inside;
}

describe('the plan', () => {
  it.each([1, 2, 3, 4])(
    'of scene %i has every cell in a mass, in the order of painting',
    (seed) => {
      const { subject, of: chosen } = solved(seed);
      const settings = { half: 0.5, order: 'dark first' as const, isStrict: false };
      const plan = planMasses(subject, COLOURS, chosen, settings);
      expect(Math.min(...plan.labels)).toBeGreaterThanOrEqual(0);
      expect(Math.max(...plan.labels)).toBeLessThan(plan.masses.length);
      expect(plan.masses.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 5);
      const large = plan.masses.filter(({ share }) => share >= 0.015);
      expect(plan.masses.slice(0, large.length)).toEqual(large);
      large
        .slice(1)
        .forEach(({ value }, i) => expect(value).toBeGreaterThanOrEqual(large[i].value));
      // Each number stands in its own mass.
      plan.masses.forEach(({ place }, mass) => {
        const cell =
          Math.floor(place.y * plan.height) * plan.width + Math.floor(place.x * plan.width);
        if (plan.labels.includes(mass)) expect(plan.labels[cell]).toBe(mass);
      });
      const light = planMasses(subject, COLOURS, chosen, { ...settings, order: 'light first' });
      expect(light.masses[0].value).toBeGreaterThanOrEqual(large.at(-1)!.value - 1e-9);
      const strict = planMasses(subject, COLOURS, chosen, { ...settings, isStrict: true });
      for (const { of: own, colour } of strict.masses) expect(colour).toEqual(COLOURS[own!]);
    },
  );

  it('leaves as it is what is looped out, and solves the rest without it', () => {
    const { subject, of: chosen } = solved(3);
    const largest = subject.masses.reduce(
      (best, { share }, i) => (share > subject.masses[best].share ? i : best),
      0,
    );
    const keep = Uint8Array.from(subject.field.first, (mass) => (mass === largest ? 255 : 0));
    const { free, masses, meetings } = freeOf(subject, keep);
    expect(free[largest]).toBe(0);
    expect(masses[largest].share).toBe(0);
    expect(masses.filter((_, i) => i !== largest).map(({ share }) => share)).toEqual(
      subject.masses.filter((_, i) => i !== largest).map(({ share }) => share),
    );
    for (const { one, other, length } of meetings)
      if (one === largest || other === largest) expect(length).toBe(0);
    const plan = planMasses(
      subject,
      COLOURS,
      chosen,
      { half: 0.5, order: 'dark first', isStrict: true },
      free,
    );
    const left = plan.masses.filter(({ of: own }) => own === null);
    expect(left).toHaveLength(1);
    expect(left[0].share).toBeCloseTo(subject.masses[largest].share, 9);
    expect(oklabDistance(left[0].colour, subject.masses[largest].colour)).toBeLessThan(1e-9);
  });

  it('covers the picture, whatever meets', () => {
    const { subject, of: chosen } = solved(4);
    const plan = planMasses(subject, COLOURS, chosen, {
      half: 0.5,
      order: 'dark first',
      isStrict: false,
    });
    const drawing = massDrawing(
      plan,
      plan.masses.map(() => ({ name: '', lines: [] })),
      {
        title: '',
        canvas: { width: 320, height: 240 },
        grid: { kind: 'none' },
        fill: 'colours',
        scale: MUNSELL_SCALE,
      },
    );
    const frame = drawing.parts.find(({ name }) => name === 'frame')!.marks[0] as {
      x: number;
      y: number;
    };
    const shapes = drawing.parts
      .find(({ name }) => name === 'masses')!
      .marks.flatMap((mark) => (mark.kind === 'path' ? [ringsOf(mark.d)] : []));
    for (let x = 1; x < 320; x += 3)
      for (let y = 1; y < 240; y += 3)
        expect([x, y, shapes.some((rings) => isIn(rings, frame.x + x, frame.y + y))]).toEqual([
          x,
          y,
          true,
        ]);
  });

  it('is drawn in the size of the canvas, with a grid and a list of all', () => {
    const { subject, of: chosen } = solved(2);
    const plan = planMasses(subject, COLOURS, chosen, {
      half: 0.5,
      order: 'dark first',
      isStrict: false,
    });
    const rows = plan.masses.map((_, i) => ({
      name: `Swatch <${i}>`,
      lines: ['2 parts of umber'],
    }));
    const sheet = {
      title: 'A house',
      canvas: { width: 400, height: 300 },
      grid: { kind: 'squares' as const, short: 4 },
      fill: 'colours' as const,
      scale: MUNSELL_SCALE,
    };
    const drawing = massDrawing(plan, rows, sheet);
    const frame = drawing.parts.find(({ name }) => name === 'frame')!.marks[0];
    expect(frame).toMatchObject({ kind: 'rect', width: 400, height: 300 });
    const words = drawing.parts.flatMap(({ marks }) =>
      marks.flatMap((mark) => (mark.kind === 'text' ? [mark.words] : [])),
    );
    rows.forEach(({ name }) => expect(words).toContain(name));
    expect(words.filter((one) => one === '2 parts of umber').length).toBe(rows.length);
    expect(svgOf(drawing)).toContain('Swatch &lt;0&gt;');
    for (const { marks } of drawing.parts)
      for (const mark of marks)
        if (mark.kind === 'text') {
          expect(mark.x).toBeLessThan(drawing.width);
          expect(mark.y).toBeLessThan(drawing.height);
        }
    expect(() =>
      massDrawing(plan, rows, { ...sheet, canvas: { width: MAX_CANVAS + 1, height: 300 } }),
    ).toThrow(RangeError);
  });
});

describe('an echo', () => {
  it.each([1, 2, 3, 4, 5, 6])(
    'in scene %i lies outside its own masses, at its value, apart',
    (seed) => {
      const { sources, subject, of: chosen } = solved(seed);
      const { masses } = sources.masses(0.008);
      const grid = colourGrid(subject.picture, sampledBlocks(subject.picture), MASS_CELLS);
      let found = 0;
      for (let colour = 0; colour < COLOURS.length; colour++) {
        const own = chosen.map((one) => one === colour);
        const value = valueOfOklab(COLOURS[colour]);
        const places = echoPlaces(masses, grid, own, value, 0.5);
        expect(places.length).toBeLessThanOrEqual(3);
        for (const { x, y } of places) {
          const cell = Math.floor(y * grid.down) * grid.width + Math.floor(x * grid.across);
          expect(own[masses.labels[cell]]).toBe(false);
          expect(Math.abs(grid.value[cell] - value)).toBeLessThanOrEqual(0.5);
          found++;
        }
        places.forEach((one, i) =>
          places
            .slice(i + 1)
            .forEach((other) =>
              expect(
                Math.hypot((one.x - other.x) * grid.across, (one.y - other.y) * grid.down),
              ).toBeGreaterThan(0.1 * Math.hypot(grid.across, grid.down)),
            ),
        );
      }
      expect(found).toBeGreaterThan(0);
    },
  );

  it('is nowhere when nothing has its value', () => {
    const flat = paintedBy(90, 60, () => [200, 190, 180]);
    const sources = measureSources(flat);
    const { masses } = sources.masses(0.008);
    const grid = colourGrid(flat, sampledBlocks(flat), MASS_CELLS);
    expect(
      echoPlaces(
        masses,
        grid,
        masses.masses.map(() => false),
        2,
        0.5,
      ),
    ).toEqual([]);
  });
});
