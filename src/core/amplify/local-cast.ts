import { bilinear } from '../raster/bilinear';
import { boxSums } from '../raster/box-sums';
import type { Ground } from './ground';

/** How far around a place its cast is taken from: a share of the longer side. */
const REACH = 0.12;
/** Passes of the box: three come near a bell. */
const PASSES = 3;
/** Chroma at which a cell's say in the cast has fallen to a half: a strong thing is no cast. */
const STRONG = 0.05;

/** The cast around each place: a and b of each cell of the ground. */
export interface LocalCast {
  /** Writes a and b of the cast at a place, in fractions of the picture. */
  write: (x: number, y: number, out: Float64Array) => void;
}

/** The mean of a and b around each place, what is strong counting little: it changes slowly over the picture. */
export function localCastOf({ grid, smoothed, cast }: Ground): LocalCast {
  const { width, height, across, down, mask } = grid;
  const cells = width * height;
  const sums = new Float64Array(cells * 3);
  for (let c = 0; c < cells; c++) {
    if (!mask[c]) continue;
    const a = smoothed[c * 2];
    const b = smoothed[c * 2 + 1];
    const weight = 1 / (1 + (a * a + b * b) / (STRONG * STRONG));
    sums.set([weight, weight * a, weight * b], c * 3);
  }
  const reach = Math.max(1, Math.round((REACH * Math.max(width, height)) / PASSES));
  for (let pass = 0; pass < PASSES; pass++) boxSums(sums, width, height, 3, reach);
  const field = new Float32Array(cells * 2);
  for (let c = 0; c < cells; c++)
    for (const k of [0, 1])
      field[c * 2 + k] = sums[c * 3] > 1e-9 ? sums[c * 3 + 1 + k] / sums[c * 3] : cast[k];
  return {
    write: (x, y, out) => bilinear(field, width, 2, x * across - 0.5, y * down - 0.5, out),
  };
}
