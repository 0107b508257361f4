import type { Grid } from './value-grid';

/** A Gaussian is cut off at so many deviations. */
const CUT = 2.6;

/**
 * A grid smoothed by a Gaussian, its deviation in cells; cells without a number neither give nor take.
 * Source: H. Knutsson, C.-F. Westin, "Normalized and differential convolution", CVPR 1993.
 */
export function smoothed({ width, height, data, mask }: Grid, deviation: number): Float32Array {
  const reach = Math.max(1, Math.ceil(CUT * deviation));
  const kernel = Float64Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * deviation * deviation)),
  );
  const [sums, weights] = [data.map((n, c) => (mask[c] ? n : 0)), mask].map((numbers) =>
    alongColumns(alongRows(numbers, width, kernel), width, height, kernel),
  );
  return Float32Array.from(sums, (sum, c) => (mask[c] ? sum / weights[c] : 0));
}

/** Each row convolved with a kernel of odd length, which is cut off at the ends. */
function alongRows(
  numbers: Float32Array | Uint8Array,
  width: number,
  kernel: Float64Array,
): Float64Array {
  const reach = (kernel.length - 1) / 2;
  const out = new Float64Array(numbers.length);
  for (let start = 0; start < numbers.length; start += width)
    for (let x = 0; x < width; x++) {
      let sum = 0;
      const last = Math.min(width - 1, x + reach);
      for (let i = Math.max(0, x - reach); i <= last; i++)
        sum += kernel[i - x + reach] * numbers[start + i];
      out[start + x] = sum;
    }
  return out;
}

/** Each column likewise, a row at a time, as they lie in memory. */
function alongColumns(
  numbers: Float64Array,
  width: number,
  height: number,
  kernel: Float64Array,
): Float64Array {
  const reach = (kernel.length - 1) / 2;
  const out = new Float64Array(numbers.length);
  for (let y = 0; y < height; y++)
    for (let j = Math.max(0, y - reach); j <= Math.min(height - 1, y + reach); j++) {
      const weight = kernel[j - y + reach];
      for (let x = 0, to = y * width, from = j * width; x < width; x++)
        out[to + x] += weight * numbers[from + x];
    }
  return out;
}

/**
 * How far the value steps at each cell at a scale, in the grid's own units: the length of the Gaussian gradient, so
 * normalised that a sharp step comes out as high as it is. A slow turn comes out lower the finer the scale, so that what
 * remains from a coarse scale to a fine one says how sharp an edge is.
 * Source: T. Lindeberg, "Edge detection and ridge detection with automatic scale selection", IJCV 30(2), 1998.
 */
export function stepsAtScale(grid: Grid, deviation: number): Float32Array {
  const { width, height, mask } = grid;
  const even = smoothed(grid, deviation);
  const out = new Float32Array(even.length);
  const norm = deviation * Math.sqrt(2 * Math.PI);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const c = y * width + x;
      if (!mask[c - 1] || !mask[c + 1] || !mask[c - width] || !mask[c + width]) continue;
      const dx = (even[c + 1] - even[c - 1]) / 2;
      const dy = (even[c + width] - even[c - width]) / 2;
      out[c] = norm * Math.hypot(dx, dy);
    }
  return out;
}

/** The largest number within `reach` cells of each, in a square. */
export function largestAbout(
  numbers: Float32Array,
  width: number,
  height: number,
  reach: number,
): Float32Array {
  let now = numbers;
  for (const [length, step, between, lines] of [
    [width, 1, width, height],
    [height, width, 1, width],
  ] as const) {
    const next = new Float32Array(now.length);
    for (let line = 0; line < lines; line++)
      for (let i = 0; i < length; i++) {
        let largest = -Infinity;
        for (let j = Math.max(0, i - reach); j <= Math.min(length - 1, i + reach); j++)
          largest = Math.max(largest, now[line * between + j * step]);
        next[line * between + i * step] = largest;
      }
    now = next;
  }
  return now;
}
