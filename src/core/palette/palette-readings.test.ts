import fc from 'fast-check';
import { oklabFromBytes, oklabFromHex, type Bytes } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { familyOf, PAINTERS_WHEEL } from '../colour/wheel';
import { anyPicture, anySrgb, paintedBy } from '../testing';
import { extractPalette } from './extract';
import { failureMap, readFit } from './missing';
import {
  heaviness,
  PARTS,
  DEFAULT_TARGET,
  readProportion,
  suggestedRoles,
  withTarget,
  type Role,
} from './proportion';
import { allMixes, FIELD_ROWS, readReach } from './reach';
import { readSeries } from './series';
import { suggestCount, whereItStops } from './suggest';

const of = (hex: string) => oklabFromHex(hex) as Oklab;

describe('how many colours to take', () => {
  it('is as many as a flat picture has', () => {
    const flats: Bytes[] = [
      [20, 24, 48],
      [150, 60, 40],
      [240, 220, 180],
      [60, 120, 90],
      [200, 170, 40],
    ];
    for (const count of [2, 3, 5]) {
      const picture = paintedBy(100, 10, (x) => flats[Math.floor((x * count) / 100)]);
      expect(suggestCount(picture).suggested).toBe(count);
    }
  });

  it('has a curve that never rises', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        const { means, suggested } = suggestCount(picture);
        for (let i = 1; i < means.length; i++)
          expect(means[i]).toBeLessThanOrEqual(means[i - 1] + 1e-9);
        expect(suggested).toBeGreaterThanOrEqual(2);
        expect(suggested).toBeLessThanOrEqual(16);
      }),
      { numRuns: 30 },
    );
  });

  it('stops where two in a row hardly help', () => {
    expect(whereItStops([20, 10, 6, 5.9, 4, 3.95, 3.9, 3.85])).toBe(5);
    expect(whereItStops([20, 10, 0.5])).toBe(3);
    expect(whereItStops([0.2])).toBe(2);
  });
});

describe('how a palette holds a picture', () => {
  const picture = paintedBy(100, 50, (x) =>
    x < 60 ? [120, 120, 125] : x < 90 ? [40, 60, 120] : [200, 60, 40],
  );

  it('names what it fails, with its place', () => {
    const fit = readFit(picture, [of('#78787d'), of('#283c78')]);
    expect(fit.failed).toBeCloseTo(0.1, 9);
    expect(fit.missing).toHaveLength(1);
    expect(familyOf(fit.missing[0].colour).name).toMatch(/red/);
    expect(fit.missing[0].point?.x).toBeGreaterThan(0.9);
    expect(fit.missing[0].difference).toBeGreaterThan(20);
    const map = failureMap(picture, [of('#78787d'), of('#283c78')]);
    expect([map[0], map[95]]).toEqual([0, 1]);
  });

  it('fails nothing that is in the palette', () => {
    fc.assert(
      fc.property(anyPicture, fc.array(anySrgb, { minLength: 1, maxLength: 6 }), (any, colours) => {
        const fit = readFit(any, colours);
        const shares = fit.missing.reduce((sum, { share }) => sum + share, 0);
        expect(shares).toBeLessThanOrEqual(fit.failed + 1e-9);
        const all = [...colours, ...fit.missing.map(({ colour }) => colour)];
        expect(readFit(any, all).failed).toBeLessThanOrEqual(fit.failed + 1e-9);
      }),
      { numRuns: 40 },
    );
    const { swatches } = extractPalette(picture, { count: 3 });
    expect(
      readFit(
        picture,
        swatches.map(({ colour }) => colour),
      ),
    ).toMatchObject({
      failed: 0,
      missing: [],
    });
    expect(() => readFit(picture, [])).toThrow(RangeError);
  });
});

describe('proportion', () => {
  const weighed = (hex: string, share: number, role: Role | null = null) => ({
    colour: of(hex),
    share,
    role,
  });

  it('makes dark and strong heavier than light and dull', () => {
    expect(heaviness(of('#ffffff'))).toBeCloseTo(1, 2);
    expect(heaviness(of('#202020'))).toBeGreaterThan(heaviness(of('#d0d0d0')));
    expect(heaviness(of('#c03028'))).toBeGreaterThan(heaviness(of('#7d6562')));
    const { weights } = readProportion(
      [weighed('#ffffff', 0.5), weighed('#101010', 0.5)],
      DEFAULT_TARGET,
    );
    expect(weights[1]).toBeGreaterThan(0.65);
    expect(weights[0] + weights[1]).toBeCloseTo(1, 12);
  });

  it('holds main, second and accent against the target, whatever else there is', () => {
    const { parts } = readProportion(
      [
        weighed('#808080', 0.4, 'main'),
        weighed('#405080', 0.4, 'second'),
        weighed('#c03028', 0.05, 'accent'),
        weighed('#f0f0f0', 0.15, 'light'),
      ],
      DEFAULT_TARGET,
    );
    parts.forEach(({ share }, i) => expect(share).toBeCloseTo([0.4, 0.4, 0.05][i] / 0.85, 9));
    expect(parts.map(({ target }) => target)).toEqual([0.6, 0.3, 0.1]);
  });

  it('has a target that always adds to all', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...PARTS), fc.double({ min: -1, max: 2, noNaN: true }))),
        (moves) => {
          const target = moves.reduce(
            (was, [part, to]) => withTarget(was, part, to),
            DEFAULT_TARGET,
          );
          expect(target.main + target.second + target.accent).toBeCloseTo(1, 9);
          for (const part of PARTS) expect(target[part]).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('suggests a main, a second and the small strong ones as accents', () => {
    const palette = [
      weighed('#808078', 0.5),
      weighed('#50586a', 0.3),
      weighed('#d0c8b8', 0.17),
      weighed('#c03028', 0.03),
    ];
    expect(suggestedRoles(palette)).toEqual(['main', 'second', null, 'accent']);
  });
});

describe('what a limited palette reaches', () => {
  const earths = ['#1c1a1a', '#8a4a2c', '#c9902f'].map(of);

  it('mixes lie between, and black with yellow gives an olive', () => {
    const mixes = allMixes([of('#1c1a1a'), of('#f2d020')]);
    // Three by twos, the three together, and themselves.
    expect(mixes).toHaveLength(3 + 3 * 11 + 91);
    const olives = mixes.filter((mix) => familyOf(mix).name.startsWith('yellow') && mix.L < 0.6);
    expect(olives.length).toBeGreaterThan(0);
    for (const mix of mixes) {
      expect(mix.L).toBeGreaterThanOrEqual(of('#1c1a1a').L - 1e-6);
      expect(mix.L).toBeLessThan(0.98);
    }
  });

  it('earths reach browns and not a blue', () => {
    const browns = paintedBy(20, 20, (x) => (x < 10 ? [120, 80, 50] : [190, 150, 100]));
    expect(readReach(browns, earths, PAINTERS_WHEEL).reached).toBeGreaterThan(0.9);
    const half = paintedBy(20, 20, (x) => (x < 10 ? [120, 80, 50] : [40, 80, 190]));
    const reach = readReach(half, earths, PAINTERS_WHEEL);
    expect(reach.reached).toBeCloseTo(0.5, 2);
    expect(familyOf(reach.beyond?.colour as Oklab).name).toMatch(/blue/);
    expect(reach.field).toHaveLength(FIELD_ROWS);
    const blue = PAINTERS_WHEEL.families.indexOf('blue');
    expect(reach.field.every((row) => row[blue] === null)).toBe(true);
    expect(() => readReach(half, earths.slice(0, 2), PAINTERS_WHEEL)).toThrow(RangeError);
  });

  it('reaches the colours themselves, and more with one more colour', () => {
    const picture = paintedBy(30, 10, (x) => (x < 15 ? [138, 74, 44] : [40, 80, 190]));
    const without = readReach(picture, earths, PAINTERS_WHEEL).reached;
    const withBlue = readReach(picture, [...earths, of('#2850be')], PAINTERS_WHEEL).reached;
    expect(withBlue).toBeGreaterThan(without);
    expect(withBlue).toBeCloseTo(1, 6);
  });
});

describe('a series', () => {
  const member = (title: string, ...hexes: string[]) => ({
    title,
    swatches: hexes.map((hex) => ({ name: hex, colour: of(hex), share: null })),
  });
  const one = member('one', '#203050', '#8090a8', '#c8a060');
  const two = member('two', '#243456', '#7a8ca4', '#d0a868');

  it('holds when palettes are near each other, and names who strays', () => {
    const alike = readSeries([one, two], PAINTERS_WHEEL);
    expect(alike.holds).toBeGreaterThan(85);
    expect(alike.members.every(({ strays }) => strays.length === 0)).toBe(true);
    expect(alike.shared.map((index) => PAINTERS_WHEEL.families[index])).toContain('blue');
    const odd = readSeries([one, two, member('three', '#203050', '#30b050')], PAINTERS_WHEEL);
    expect(odd.holds).toBeLessThan(alike.holds);
    const [stray] = odd.members[2].strays;
    expect(odd.members[2].strays).toHaveLength(1);
    // No other has a green: it can be brought toward nothing.
    expect(stray).toMatchObject({ name: '#30b050', share: 0.5, kin: null });
    expect(stray.host).not.toBe(2);
  });

  it('brings a stray toward its own family alone, however near another colour is', () => {
    const violet = member('violet', '#203050', '#5a3a78');
    const brown = member('brown', '#203050', '#6a4a3a');
    const [stray] = readSeries([violet, brown], PAINTERS_WHEEL).members[0].strays;
    expect(stray).toMatchObject({ name: '#5a3a78', kin: null, host: 1 });
    // What has more of its family is no small stray.
    const [of3] = readSeries(
      [member('three', '#203050', '#5a3a78', '#52336f'), brown],
      PAINTERS_WHEEL,
    ).members[0].strays;
    expect(of3.share).toBeCloseTo(2 / 3, 9);
    const pale = member('pale', '#203050', '#c8b0e8');
    const [kindred] = readSeries([violet, brown, pale], PAINTERS_WHEEL).members[0].strays;
    expect(kindred.kin).toMatchObject({ member: 2, name: '#c8b0e8' });
  });

  it('is at its most with itself, and refuses one alone or an empty palette', () => {
    expect(readSeries([one, one], PAINTERS_WHEEL).holds).toBeCloseTo(100, 9);
    expect(() => readSeries([one], PAINTERS_WHEEL)).toThrow(RangeError);
    expect(() => readSeries([one, member('none')], PAINTERS_WHEEL)).toThrow(/empty/);
  });

  it('does not hang on the order of its members', () => {
    const three = member('three', '#405030', '#e0c8a0');
    const there = readSeries([one, two, three], PAINTERS_WHEEL);
    const back = readSeries([three, one, two], PAINTERS_WHEEL);
    expect(back.holds).toBeCloseTo(there.holds, 9);
    expect(back.members[1].holds).toBeCloseTo(there.members[0].holds, 9);
    expect(back.members[1].families).toEqual(there.members[0].families);
  });
});

it('a swatch of a fit is what the eye sees there', () => {
  const red = oklabFromBytes([200, 60, 40]);
  const { missing } = readFit(
    paintedBy(10, 10, () => [200, 60, 40]),
    [of('#808080')],
  );
  expect(missing[0].colour.L).toBeCloseTo(red.L, 4);
});

it('a fit says how much each colour holds, and names what crept in with its place', () => {
  // Half of the first colour, a third of the last, the rest a green that is in no palette.
  const painted = paintedBy(120, 60, (x) =>
    x < 60 ? [0x8a, 0x4a, 0x32] : x < 100 ? [0xe3, 0xd2, 0xb0] : [30, 190, 70],
  );
  const { shares, failed, missing } = readFit(
    painted,
    ['#8a4a32', '#2b3340', '#5c6b80', '#e3d2b0'].map(of),
  );
  expect(shares[0]).toBeCloseTo(1 / 2, 2);
  expect(shares[3]).toBeCloseTo(1 / 3, 2);
  expect(shares[1] + shares[2]).toBe(0);
  expect(failed).toBeCloseTo(1 / 6, 2);
  expect(missing).toHaveLength(1);
  expect(missing[0].share).toBeCloseTo(1 / 6, 2);
  expect(missing[0].point!.x).toBeGreaterThan(0.83);
});
