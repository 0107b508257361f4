import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromHex, hexFromOklab } from '../colour/hex';
import { randomFrom } from '../seeded';
import { mixColour, mixLab } from './mix-lab';
import { findRecipes } from './recipes';
import { tubesOf, TWELVE } from './testing/mixtures';
import { kindOf } from './tube';
import { MAX_PARTS, MEASURES, SPECKS } from './whole-parts';

const tubes = tubesOf(TWELVE);
const colour = (hex: string) => oklabFromHex(hex)!;

/** Misses of the best recipe for mixtures of two and three tubes whose parts are drawn by `draw`. */
function misses(seed: number, count: number, draw: (random: () => number) => [number, number][]) {
  const random = randomFrom(seed);
  return Array.from({ length: count }, () => {
    const mixture = draw(random);
    const target = mixColour(
      mixture.map(([tube]) => tubes[tube].optics),
      mixture.map(([, parts]) => parts),
    );
    return findRecipes(target, tubes, { count: 1 })[0].deltaE;
  });
}

function drawn(random: () => number, from: number, count: number): number[] {
  const order = Array.from({ length: tubes.length - from }, (_, i) => i + from);
  return Array.from(
    { length: count },
    () => order.splice(Math.floor(random() * order.length), 1)[0],
  );
}
const part = (random: () => number) => 1 + Math.floor(random() * MAX_PARTS);

it('a mixture of two or three tubes in whole parts is found again', () => {
  const found = misses(11, 60, (random) =>
    drawn(random, 0, random() < 0.5 ? 2 : 3).map((tube) => [tube, part(random)]),
  );
  expect(found.filter((miss) => miss < 1).length).toBeGreaterThanOrEqual(57);
}, 120_000);

it('a pale tint by the speck is found again', () => {
  const found = misses(12, 40, (random) => [
    [0, 4 + Math.floor(random() * 9)],
    ...drawn(random, 1, random() < 0.5 ? 1 : 2).map((tube): [number, number] => [
      tube,
      SPECKS[Math.floor(random() * SPECKS.length)],
    ]),
  ]);
  expect(found.filter((miss) => miss < 2).length).toBeGreaterThanOrEqual(38);
}, 120_000);

it('no whole parts to twelve of three tubes are much nearer than what is found', () => {
  const three = tubesOf(['PW6', 'PY42', 'PB29']);
  const paints = three.map(({ optics }) => optics);
  for (const hex of ['#7c8a8c', '#c9a45e', '#4d5a3c', '#b0524a']) {
    const target = labFromOklab(colour(hex));
    let least = Infinity;
    for (let a = 0; a <= MAX_PARTS; a++)
      for (let b = 0; b <= MAX_PARTS; b++)
        for (let c = a + b > 0 ? 0 : 1; c <= MAX_PARTS; c++)
          least = Math.min(least, ciede2000(mixLab(paints, [a, b, c]), target));
    expect(findRecipes(colour(hex), three)[0].deltaE).toBeLessThan(least + 0.3);
  }
});

it('parts can be measured out, tubes are few, and what is said of a recipe is true', () => {
  for (const hex of ['#7a5c3e', '#274a63', '#d9c7b0', '#5d7044', '#8c2f39'])
    for (const { parts, colour: made, deltaE, steadiness } of findRecipes(colour(hex), tubes)) {
      expect(parts.length).toBeLessThanOrEqual(4);
      expect(new Set(parts.map(({ tube }) => tube.id)).size).toBe(parts.length);
      for (const { parts: amount } of parts) expect(MEASURES).toContain(amount);
      expect(parts[0].parts).toBeGreaterThanOrEqual(1);
      const mixed = mixColour(
        parts.map(({ tube }) => tube.optics),
        parts.map((one) => one.parts),
      );
      expect(hexFromOklab(made)).toBe(hexFromOklab(mixed));
      expect(deltaE).toBeCloseTo(ciede2000(labFromOklab(mixed), labFromOklab(colour(hex))), 4);
      expect(steadiness).toBeGreaterThanOrEqual(0);
    }
});

it('a dull colour has several routes, the best before others, and no recipe twice', () => {
  const recipes = findRecipes(colour('#6a6152'), tubes);
  expect(recipes.length).toBeGreaterThan(3);
  expect(new Set(recipes.map(({ route }) => route)).size).toBeGreaterThan(1);
  const written = recipes.map(({ parts }) =>
    parts
      .map(({ tube, parts: amount }) => `${tube.id}:${amount}`)
      .sort()
      .join(),
  );
  expect(new Set(written).size).toBe(written.length);
});

it('black is mixed only when it is wanted, or into what is nearly black', () => {
  const withBlack = tubesOf([...TWELVE, 'PBk9']);
  const hasBlack = (hex: string, black: boolean) =>
    findRecipes(colour(hex), withBlack, { black }).some(({ parts }) =>
      parts.some(({ tube }) => kindOf(tube) === 'black'),
    );
  expect(hasBlack('#5c5c58', false)).toBe(false);
  expect(hasBlack('#5c5c58', true)).toBe(true);
  expect(hasBlack('#1e1d1c', false)).toBe(true);
});

it('fewer tubes are kept to, and none are refused', () => {
  for (const maxTubes of [1, 2, 3])
    for (const { parts } of findRecipes(colour('#7a5c3e'), tubes, { maxTubes }))
      expect(parts.length).toBeLessThanOrEqual(maxTubes);
  expect(() => findRecipes(colour('#7a5c3e'), [])).toThrow(RangeError);
  // Only black is left out: nothing else is there.
  expect(() => findRecipes(colour('#ffffff'), tubesOf(['PBk9']))).toThrow(RangeError);
});
