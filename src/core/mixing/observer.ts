import { linearFromXyz } from '../colour/cielab';
import { oklabFromLinear, type Oklab } from '../colour/oklab';
import type { Rgb } from '../colour/srgb';
import { CIE_TABLES as tables } from './cie-tables';
import { BAND_COUNT, BAND_WIDTH, FIRST_WAVELENGTH, type Spectrum } from './spectrum';

export type Illuminant = 'D65' | 'A';

/** Tristimulus values, Y of the perfect white being 1. */
export interface Xyz {
  X: number;
  Y: number;
  Z: number;
}

/**
 * What each band gives to X, Y and Z (three numbers a band) under an illuminant. Between bands reflectance runs
 * through its four neighbours as a cubic, beyond the last it stays level, so the sum over the tables' 5 nm is one
 * over bands. Source: CIE 15:2018, the 1931 2° observer; the tables are the CIE's own.
 */
export function weightsUnder(illuminant: Illuminant): Float64Array {
  const weights = new Float64Array(BAND_COUNT * 3);
  const light = tables[illuminant];
  const white = tables.ybar.reduce((sum, y, i) => sum + y * light[i], 0);
  tables.wavelengths.forEach((wavelength, i) => {
    const shares = bandShares((wavelength - FIRST_WAVELENGTH) / BAND_WIDTH);
    [tables.xbar, tables.ybar, tables.zbar].forEach((bar, c) => {
      for (const [band, share] of shares)
        weights[band * 3 + c] += (share * bar[i] * light[i]) / white;
    });
  });
  return weights;
}

/** What each band gives to the reflectance at a position that is a band's or halfway between two. */
function bandShares(position: number): [band: number, share: number][] {
  if (position >= BAND_COUNT - 1) return [[BAND_COUNT - 1, 1]];
  if (Number.isInteger(position)) return [[position, 1]];
  // Lagrange's cubic through four bands, at an end the quadratic through three.
  const low = Math.floor(position);
  if (low === 0) return quadratic([0, 1, 2]);
  if (low === BAND_COUNT - 2) return quadratic([BAND_COUNT - 1, BAND_COUNT - 2, BAND_COUNT - 3]);
  return [-1 / 16, 9 / 16, 9 / 16, -1 / 16].map((share, k) => [low - 1 + k, share]);
}

const quadratic = ([near, next, third]: [number, number, number]): [number, number][] => [
  [near, 3 / 8],
  [next, 6 / 8],
  [third, -1 / 8],
];

/** Tristimulus values of a reflectance (0–1 in each band) by such weights. */
export function xyzOf(reflectance: Spectrum, weights: Float64Array): Xyz {
  let X = 0;
  let Y = 0;
  let Z = 0;
  for (let band = 0; band < BAND_COUNT; band++) {
    const R = reflectance[band];
    X += R * weights[band * 3];
    Y += R * weights[band * 3 + 1];
    Z += R * weights[band * 3 + 2];
  }
  return { X, Y, Z };
}

/** Weights of linear red, green and blue (three numbers a band); a reflectance of 1 is exactly white. */
export const RGB_WEIGHTS: Float64Array = rgbWeights();

function rgbWeights(): Float64Array {
  const xyz = weightsUnder('D65');
  const weights = new Float64Array(BAND_COUNT * 3);
  for (let at = 0; at < weights.length; at += 3) {
    const { r, g, b } = linearFromXyz(xyz[at], xyz[at + 1], xyz[at + 2]);
    weights.set([r, g, b], at);
  }
  // D65 of the tables and the white of sRGB differ in the fourth place.
  for (const c of [0, 1, 2]) {
    let sum = 0;
    for (let at = c; at < weights.length; at += 3) sum += weights[at];
    for (let at = c; at < weights.length; at += 3) weights[at] /= sum;
  }
  return weights;
}

/** A reflectance under D65 as linear sRGB, channels outside 0–1 where sRGB lacks the colour. */
export function linearOf(reflectance: Spectrum): Rgb {
  let r = 0;
  let g = 0;
  let b = 0;
  for (let band = 0; band < BAND_COUNT; band++) {
    const R = reflectance[band];
    r += R * RGB_WEIGHTS[band * 3];
    g += R * RGB_WEIGHTS[band * 3 + 1];
    b += R * RGB_WEIGHTS[band * 3 + 2];
  }
  return { r, g, b };
}

/** A reflectance under D65 as OKLab, which may lie outside sRGB. */
export function oklabOf(reflectance: Spectrum): Oklab {
  return oklabFromLinear(linearOf(reflectance));
}
