import { hexFromOklab } from '../colour/hex';
import { CIE_TABLES as tables } from './cie-tables';
import { linearOf, oklabOf, weightsUnder, xyzOf } from './observer';
import { BAND_COUNT, spectrumOf } from './spectrum';
import { TEST_COLOUR_SAMPLES } from './testing/test-colour-samples';

/** Chromaticity by the sum over all 5 nm of the CIE's tables, as CIE 13.3 gives it. */
function published(reflectance: readonly number[], illuminant: 'D65' | 'A') {
  const [X, Y, Z] = [tables.xbar, tables.ybar, tables.zbar].map((bar) =>
    bar.reduce((sum, at, i) => sum + at * tables[illuminant][i] * reflectance[i], 0),
  );
  return { x: X / (X + Y + Z), y: Y / (X + Y + Z) };
}

/** What a band of 10 nm has of a reflectance every 5 nm. */
const banded = (reflectance: readonly number[]) =>
  spectrumOf((_, band) => {
    const at = band * 2;
    const before = reflectance[Math.max(0, at - 1)];
    return (before + 2 * reflectance[at] + reflectance[at + 1]) / 4;
  });

it.each(['D65', 'A'] as const)(
  'the CIE’s test colours have their chromaticities under %s',
  (illuminant) => {
    const weights = weightsUnder(illuminant);
    for (const [name, reflectance] of Object.entries(TEST_COLOUR_SAMPLES)) {
      const { X, Y, Z } = xyzOf(banded(reflectance), weights);
      const { x, y } = published(reflectance, illuminant);
      const off = Math.hypot(X / (X + Y + Z) - x, Y / (X + Y + Z) - y);
      expect([name, off < 0.002]).toEqual([name, true]);
    }
  },
);

it('the illuminants have their own chromaticities', () => {
  const white = spectrumOf(() => 1);
  for (const [illuminant, x, y] of [
    ['D65', 0.3127, 0.329],
    ['A', 0.4476, 0.4074],
  ] as const) {
    const { X, Y, Z } = xyzOf(white, weightsUnder(illuminant));
    expect(X / (X + Y + Z)).toBeCloseTo(x, 3);
    expect(Y / (X + Y + Z)).toBeCloseTo(y, 3);
    expect(Y).toBeCloseTo(1, 9);
  }
});

it('a perfect white is white, and a perfect grey grey', () => {
  expect(hexFromOklab(oklabOf(new Float64Array(BAND_COUNT).fill(1)))).toBe('#ffffff');
  const { r, g, b } = linearOf(new Float64Array(BAND_COUNT).fill(0.2));
  for (const light of [r, g, b]) expect(light).toBeCloseTo(0.2, 12);
});
