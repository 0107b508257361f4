import fc from 'fast-check';
import { oklabDistance, oklchFromOklab } from '../colour/oklab';
import { valueOfLuminance, valueOfOklab } from '../colour/value';
import { belowSurface, throughSurface } from './kubelka-munk';
import { spectrumOf } from './spectrum';
import { tubesOf, TWELVE } from './testing/mixtures';
import { DILUTIONS, MAX_WASHES, washColour, washLadder, washRecipes } from './washes';

const tubes = tubesOf([...TWELVE, 'PBk9', 'PY150']);
const optics = (id: string) => tubes.find((tube) => tube.id === id)!.optics;
const value = (id: string, strength: number) =>
  valueOfOklab(washColour([{ optics: optics(id), strength }]));

it('a wash that is halved is the film of half the thickness, and two of them are the whole', () => {
  fc.assert(
    fc.property(fc.constantFrom(...tubes), fc.constantFrom(...DILUTIONS), (tube, strength) => {
      const once = washColour([{ optics: tube.optics, strength }]);
      const twice = washLadder(tube.optics, strength / 2, 2)[2];
      // The surface is between the two, so that a little light is lost at it.
      expect(oklabDistance(once, twice)).toBeLessThan(0.02);
    }),
  );
});

it('a grey that absorbs every wavelength alike rises by the law of a clear film', () => {
  const K = 4;
  const grey = { K: spectrumOf(() => K), S: spectrumOf(() => 0) };
  // A full coat has S·X = 5 for titanium white, and one undiluted wash is 0.06 of it.
  const light = (strength: number) =>
    throughSurface(belowSurface(0.9) * Math.exp(-2 * K * 5 * 0.06 * strength));
  for (const strength of DILUTIONS)
    expect(valueOfOklab(washColour([{ optics: grey, strength }]))).toBeCloseTo(
      valueOfLuminance(light(strength)),
      2,
    );
});

it('halved twice a wash goes up in value, and stays below the paper', () => {
  for (const id of ['PB29', 'PR108', 'PBr7-burnt-sienna', 'PG7']) {
    const steps = DILUTIONS.map((strength) => value(id, strength));
    for (let i = 1; i < steps.length; i++) expect(steps[i]).toBeGreaterThan(steps[i - 1]);
    expect(steps[4]).toBeLessThan(value(id, 0));
  }
});

it('washes go from light to dark, and stronger in colour than thick paint with white', () => {
  for (const id of ['PB29', 'PV23', 'PG7']) {
    const ladder = washLadder(optics(id), 1 / 4, MAX_WASHES);
    const values = ladder.map(valueOfOklab);
    for (let i = 1; i < values.length; i++) expect(values[i]).toBeLessThan(values[i - 1]);
    expect(oklchFromOklab(ladder[2]).C).toBeGreaterThan(oklchFromOklab(ladder[0]).C);
  }
});

it('the order of washes that do not scatter hardly matters; a yellow over a blue is a green', () => {
  const blue = { optics: optics('PB15.3'), strength: 1 / 4 };
  const yellow = { optics: optics('PY150'), strength: 1 };
  const one = washColour([blue, yellow]);
  const { h } = oklchFromOklab(one);
  expect(h).toBeGreaterThan(110);
  expect(h).toBeLessThan(190);
  const glaze = { optics: optics('PB29'), strength: 1 / 4 };
  expect(oklabDistance(washColour([blue, glaze]), washColour([glaze, blue]))).toBeLessThan(0.01);
});

describe('recipes of washes', () => {
  it('find a wash that was laid again', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...tubes),
        fc.constantFrom(...DILUTIONS),
        fc.integer({ min: 1, max: MAX_WASHES }),
        (tube, strength, layers) => {
          const target = washLadder(tube.optics, strength, layers)[layers];
          const [best] = washRecipes(target, tubes);
          expect(best.deltaE).toBeLessThan(1.5);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('give what their steps come to, the nearest before others', () => {
    const target = washColour([
      { optics: optics('PB29'), strength: 1 / 2 },
      { optics: optics('PR122'), strength: 1 / 4 },
    ]);
    const recipes = washRecipes(target, tubes, 6);
    expect(recipes).toHaveLength(6);
    expect(recipes[0].deltaE).toBeLessThan(0.5);
    for (const { steps, colour } of recipes) {
      const washes = steps.flatMap(({ tube, strength, layers }) =>
        Array.from({ length: layers }, () => ({ optics: tube.optics, strength })),
      );
      expect(oklabDistance(washColour(washes), colour)).toBeLessThan(1e-9);
    }
    expect(() => washRecipes(target, [])).toThrow(RangeError);
  });
});
