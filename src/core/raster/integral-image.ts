/**
 * An integral image (summed-area table) of several channels: the sum over any box of cells costs four
 * look-ups a channel, whatever its size.
 * Source: F. Crow, "Summed-area tables for texture mapping", SIGGRAPH 1984.
 */
export interface IntegralImage {
  channels: number;
  /** Entries of one row: (width + 1) × channels. The first row and column are 0. */
  stride: number;
  sums: Float64Array;
}

/** `write` puts a cell's channels into `out`, which holds 0s before; a cell it leaves alone counts nothing. */
export function integralImage(
  width: number,
  height: number,
  channels: number,
  write: (cell: number, out: Float64Array) => void,
): IntegralImage {
  const stride = (width + 1) * channels;
  const sums = new Float64Array(stride * (height + 1));
  const row = new Float64Array(channels);
  const own = new Float64Array(channels);
  for (let y = 0, cell = 0; y < height; y++) {
    row.fill(0);
    for (let x = 0, at = (y + 1) * stride + channels; x < width; x++, cell++, at += channels) {
      write(cell, own);
      for (let k = 0; k < channels; k++) {
        row[k] += own[k];
        own[k] = 0;
        sums[at + k] = sums[at - stride + k] + row[k];
      }
    }
  }
  return { channels, stride, sums };
}

/** Writes the sum of each channel over the cells from (x0, y0) up to before (x1, y1). */
export function boxSum(
  { channels, stride, sums }: IntegralImage,
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  out: Float64Array,
): void {
  const top = y0 * stride;
  const bottom = y1 * stride;
  const left = x0 * channels;
  const right = x1 * channels;
  for (let k = 0; k < channels; k++)
    out[k] =
      sums[bottom + right + k] -
      sums[top + right + k] -
      sums[bottom + left + k] +
      sums[top + left + k];
}
