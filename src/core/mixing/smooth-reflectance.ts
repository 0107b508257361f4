import { linearFromOklab, type Oklab } from '../colour/oklab';
import { RGB_WEIGHTS } from './observer';
import { solved } from './linear-system';
import { BAND_COUNT, type Spectrum } from './spectrum';

/** Light that no curve within 0–1 gives; what is darker or lighter is brought here. */
const DARKEST = 0.0001;
const LIGHTEST = 0.9995;
const MAX_STEPS = 40;
const ENOUGH = 1e-8;

/**
 * The smoothest reflectance (each band within 0–1) that looks like a colour under D65: z of R = (1 + tanh z) / 2
 * changes least from band to band. Newton's method on its Lagrangian. Colours outside sRGB are bounded first.
 * Source: S. Burns, "Numerical methods for smoothest reflectance reconstruction", Color Research and
 * Application 45(1), 2020.
 */
export function smoothReflectance(colour: Oklab): Spectrum {
  const { r, g, b } = linearFromOklab(colour);
  const target = [r, g, b].map((light) => Math.min(LIGHTEST, Math.max(DARKEST, light)));
  const z = new Float64Array(BAND_COUNT).fill(startOf(target));
  const multipliers = [0, 0, 0];
  for (let step = 0; step < MAX_STEPS; step++) {
    const { rows, error } = newtonRows(z, multipliers, target);
    if (error < ENOUGH) break;
    const move = solved(rows);
    // Far from the answer a whole step can leave the range in which tanh has a slope.
    const scale = Math.min(1, 2 / Math.max(...move.slice(0, BAND_COUNT).map(Math.abs), 1e-9));
    for (let band = 0; band < BAND_COUNT; band++) z[band] += scale * move[band];
    for (let c = 0; c < 3; c++) multipliers[c] += scale * move[BAND_COUNT + c];
  }
  return z.map((at) => (1 + Math.tanh(at)) / 2);
}

function startOf(target: readonly number[]): number {
  const mean = target.reduce((sum, light) => sum + light, 0) / 3;
  return Math.atanh(2 * mean - 1);
}

/** The linear system of a Newton step, each row ending with its right side, and the largest error left. */
function newtonRows(z: Float64Array, multipliers: readonly number[], target: readonly number[]) {
  const size = BAND_COUNT + 3;
  const rows = Array.from({ length: size }, () => new Float64Array(size + 1));
  const light = [0, 0, 0];
  let error = 0;
  for (let band = 0; band < BAND_COUNT; band++) {
    const tanh = Math.tanh(z[band]);
    const slope = (1 - tanh * tanh) / 2;
    const bend = -2 * tanh * slope;
    const weights = RGB_WEIGHTS.subarray(band * 3, band * 3 + 3);
    const pull =
      weights[0] * multipliers[0] + weights[1] * multipliers[1] + weights[2] * multipliers[2];
    const row = rows[band];
    let smooth = 0;
    for (const next of [band - 1, band + 1]) {
      if (next < 0 || next >= BAND_COUNT) continue;
      smooth += 2 * (z[band] - z[next]);
      row[band] += 2;
      row[next] -= 2;
    }
    row[band] += bend * pull;
    for (let c = 0; c < 3; c++) {
      row[BAND_COUNT + c] = slope * weights[c];
      rows[BAND_COUNT + c][band] = slope * weights[c];
      light[c] += (weights[c] * (1 + tanh)) / 2;
    }
    row[size] = -(smooth + slope * pull);
    error = Math.max(error, Math.abs(row[size]));
  }
  for (let c = 0; c < 3; c++) {
    rows[BAND_COUNT + c][size] = target[c] - light[c];
    error = Math.max(error, Math.abs(target[c] - light[c]));
  }
  return { rows, error };
}
