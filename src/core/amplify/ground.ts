import type { ColourGrid } from '../picture/colour-grid';
import { quantileOf } from '../raster/quantile';

/** Cells along the longer side that quiet colours are looked for on. */
export const GROUND_CELLS = 200;
/** Bands of lightness that noise is read in: it is stronger in a, b where a picture is dark. */
const NOISE_BANDS = 6;
/** The least noise that is believed: what eight bits leave of a flat tone. */
const MIN_NOISE = 0.0004;
/** So many differences tell the noise of a band; fewer borrow all. */
const ENOUGH = 200;
/** Cells apart that differences are taken: nearer ones share what a lossy file smeared. */
const APART = 2;

/** What a picture's quiet colours are read against, on cells. */
export interface Ground {
  grid: ColourGrid;
  /** OKLab a and b of each cell, two floats each, evened along the edges of value. */
  smoothed: Float32Array;
  /** Standard deviation of one cell's a or b, by band of lightness. */
  noise: Float64Array;
  /** Whether its file has rounded quiet colours off: a JPEG of low quality. */
  rough: boolean;
  /** The middle of what is quiet, in a and b. */
  cast: readonly [number, number];
}

/** A JPEG under this quality keeps too little of colour to be trusted with quiet ones. */
export const ROUGH = 60;

/**
 * Reads the ground of quiet colours off a picture in cells (`GROUND_CELLS` of them); `quality` is that of
 * the JPEG it came from (1–100), null for another file.
 */
export function groundOf(grid: ColourGrid, quality: number | null = null): Ground {
  const noise = noiseOf(grid);
  const smoothed = bilateralFilter(grid, noise);
  const rough = quality !== null && quality < ROUGH;
  return { grid, smoothed, noise, rough, cast: castOf(grid, smoothed) };
}

/** The noise of a cell of some lightness. */
export function noiseAt(noise: Float64Array, L: number): number {
  return noise[Math.min(NOISE_BANDS - 1, Math.max(0, Math.floor(L * NOISE_BANDS)))];
}

/**
 * Standard deviation of a cell's a (or b), by bands of lightness: from the median difference of cells
 * that stand a little apart, which edges and slow turns of colour hardly move.
 */
function noiseOf({ width, height, oklab, mask }: ColourGrid): Float64Array {
  // A cell's differences across and down, in a and in b: four at most.
  const gaps = Array.from({ length: NOISE_BANDS }, () => new Float64Array(mask.length * 4));
  const counts = new Int32Array(NOISE_BANDS);
  const take = (c: number, d: number) => {
    if (!mask[c] || !mask[d]) return;
    const band = Math.min(NOISE_BANDS - 1, Math.floor(oklab[c * 3] * NOISE_BANDS));
    gaps[band][counts[band]++] = Math.abs(oklab[c * 3 + 1] - oklab[d * 3 + 1]);
    gaps[band][counts[band]++] = Math.abs(oklab[c * 3 + 2] - oklab[d * 3 + 2]);
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const c = y * width + x;
      if (x + APART < width) take(c, c + APART);
      if (y + APART < height) take(c, c + APART * width);
    }
  // The median of the difference of two normal numbers is 0.6745 √2 of their deviation.
  const deviation = (of: Float64Array) =>
    Math.max(MIN_NOISE, quantileOf(of, 0.5) / (0.6745 * Math.SQRT2));
  const bands = gaps.map((all, band) => all.subarray(0, counts[band]));
  if (bands.every((of) => of.length >= ENOUGH)) return Float64Array.from(bands, deviation);
  const together = new Float64Array(counts.reduce((sum, count) => sum + count, 0));
  bands.reduce((at, of) => {
    together.set(of, at);
    return at + of.length;
  }, 0);
  const all = deviation(together);
  return Float64Array.from(bands, (of) => (of.length < ENOUGH ? all : deviation(of)));
}

const REACH = 3;
const NEARNESS = 1.8;
const NEAR = 1 / (2 * NEARNESS ** 2);
/** Cells whose lightness differs by more than this hardly even each other. */
const SAME_LIGHT = 0.03;
const LIKE = 1 / (2 * SAME_LIGHT ** 2);
/** What is less like than this has no weight; e to the minus of what is, in fine steps. */
const FADED = 8;
const FADE_STEPS = 256;
const FADES = Float64Array.from({ length: FADED * FADE_STEPS }, (_, step) =>
  Math.exp(-(step + 0.5) / FADE_STEPS),
);

/**
 * a and b of each cell as the mean of those around it that are like it in lightness and, as far as
 * noise lets one tell, in colour.
 * Source: C. Tomasi, R. Manduchi, "Bilateral filtering for gray and color images", ICCV 1998.
 */
function bilateralFilter(
  { width, height, oklab, mask }: ColourGrid,
  noise: Float64Array,
): Float32Array {
  const out = new Float32Array(width * height * 2);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const c = y * width + x;
      if (!mask[c]) continue;
      const L = oklab[c * 3];
      const ownA = oklab[c * 3 + 1];
      const ownB = oklab[c * 3 + 2];
      const sameColour = 1 / (2 * Math.max(0.004, 3 * noiseAt(noise, L)) ** 2);
      let sum = 0;
      let a = 0;
      let b = 0;
      const top = y < REACH ? -y : -REACH;
      const bottom = y + REACH >= height ? height - 1 - y : REACH;
      const left = x < REACH ? -x : -REACH;
      const right = x + REACH >= width ? width - 1 - x : REACH;
      for (let v = top; v <= bottom; v++)
        for (let u = left; u <= right; u++) {
          const d = c + v * width + u;
          if (!mask[d]) continue;
          const offL = oklab[d * 3] - L;
          const offA = oklab[d * 3 + 1] - ownA;
          const offB = oklab[d * 3 + 2] - ownB;
          const unlike =
            (u * u + v * v) * NEAR + offL * offL * LIKE + (offA * offA + offB * offB) * sameColour;
          if (unlike >= FADED) continue;
          const weight = FADES[(unlike * FADE_STEPS) | 0];
          sum += weight;
          a += weight * oklab[d * 3 + 1];
          b += weight * oklab[d * 3 + 2];
        }
      out[c * 2] = a / sum;
      out[c * 2 + 1] = b / sum;
    }
  return out;
}

/** Up to this chroma a cell has a say in the cast; of a picture that is loud all over, all have. */
const QUIET = 0.07;
/** What neutral weighs beside all quiet cells: where several tints balance, none of them is the cast. */
const NEUTRAL_PULL = 0.1;

/**
 * The cast: the geometric median of a and b among the quiet cells, drawn toward neutral. A mode would
 * take one of several equal bands for the cast, another at every draw of noise; a mean would follow a few
 * strange regions.
 */
function castOf({ mask }: ColourGrid, even: Float32Array): [number, number] {
  const all = Array.from(mask.keys()).filter((c) => mask[c]);
  const quiet = all.filter((c) => Math.hypot(even[c * 2], even[c * 2 + 1]) < QUIET);
  const cells = quiet.length < 20 ? all : quiet;
  return geometricMedian(cells, even, NEUTRAL_PULL * cells.length);
}

const MEDIAN_TURNS = 60;
/** Steps under this end the search: far less than any eye or file can tell. */
const MEDIAN_STEP = 1e-6;

/**
 * The point of a and b with the least sum of distances to some cells, and to neutral, which weighs as `neutral` cells.
 * Source: E. Weiszfeld, Tohoku Mathematical Journal 43, 1937.
 */
function geometricMedian(
  cells: readonly number[],
  even: Float32Array,
  neutral: number,
): [number, number] {
  let [a, b] = [0, 0];
  for (const c of cells) {
    a += even[c * 2] / (cells.length + neutral);
    b += even[c * 2 + 1] / (cells.length + neutral);
  }
  for (let turn = 0; turn < MEDIAN_TURNS; turn++) {
    let sum = neutral / Math.max(MEDIAN_STEP, Math.sqrt(a * a + b * b));
    let toA = 0;
    let toB = 0;
    for (const c of cells) {
      const offA = even[c * 2] - a;
      const offB = even[c * 2 + 1] - b;
      const weight = 1 / Math.max(MEDIAN_STEP, Math.sqrt(offA * offA + offB * offB));
      sum += weight;
      toA += weight * even[c * 2];
      toB += weight * even[c * 2 + 1];
    }
    const moved = Math.hypot(toA / sum - a, toB / sum - b);
    [a, b] = [toA / sum, toB / sum];
    if (moved < MEDIAN_STEP) break;
  }
  return [a, b];
}
