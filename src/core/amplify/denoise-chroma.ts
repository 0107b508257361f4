import {
  aOf,
  bOf,
  lightnessOf,
  longRoot,
  mediumRoot,
  shortRoot,
  writeOklab,
} from '../colour/oklab';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import { boxSums } from '../raster/box-sums';
import type { ColourGrid } from '../picture/colour-grid';
import { OPAQUE, type Picture } from '../picture/picture';

/** Cells along the longer side that the filter's sums are taken over. */
export const SMOOTH_CELLS = 400;
/** Half the filter's window, in cells: one hundredth of the longer side. */
const REACH = 4;
/** Variance of lightness within a window under which it counts as flat: an edge of value is above. */
const FLAT = 0.02 ** 2;
/** Around the first chroma colour is evened in full, from the second on not at all: noise shows where colour is quiet. */
const FULL = 0.02;
const NONE = 0.05;
/** A pixel of its own up to the first chroma gives up its hue with its noise; from the second on only its chroma. */
const NO_HUE = 0.013;
const HUE = 0.02;
/** Detail is kept where it stands out from the noise by so many deviations. */
const ABOVE_NOISE = 6;
/** Bands of lightness that noise is read in. */
const BANDS = 8;
/** Pixels apart that differences are taken: nearer ones share what a lossy file smeared. */
const APART = 3;

/** What evens the chroma of a picture's pixels, whatever part of them is asked for. */
export interface ChromaDenoiser {
  /** Deviation of a pixel's a or b by band of lightness. */
  noise: Float64Array;
  /** Writes OKLab of a row's pixels, three floats each, with a and b evened. */
  writeRow: (y: number, out: Float32Array) => void;
}

/**
 * Chroma without its noise: a and b are smoothed along the edges of value (a guided filter with lightness
 * as the guide) where colour is quiet and a pixel departs from its surroundings by no more than noise
 * does. Strong colours and plain detail stay as they are.
 * Source: K. He, J. Sun, X. Tang, "Guided image filtering", IEEE TPAMI 35(6), 2013; on a coarser grid
 * as in K. He, J. Sun, "Fast guided filter", arXiv 1505.00996, 2015.
 */
export function chromaDenoiser(picture: Picture, { grid, fields }: SmoothChroma): ChromaDenoiser {
  const noise = pixelNoise(picture);
  const { width, height, data } = picture;
  // The grid may be of the same picture at another size.
  const across = grid.across / width;
  const down = grid.down / height;
  const last = grid.width - 1;
  const right = last > 0 ? 4 : 0;
  const next = grid.height > 1 ? grid.width * 4 : 0;
  // Between which two columns of the grid each pixel lies, and how far on: the same in every row.
  const columns = new Int32Array(width);
  const shares = new Float64Array(width);
  for (let x = 0; x < width; x++) {
    const u = Math.min(last, Math.max(0, (x + 0.5) * across - 0.5));
    const u0 = Math.min(Math.max(0, last - 1), u | 0);
    columns[x] = u0 * 4;
    shares[x] = u - u0;
  }
  // The fields at the height of a row.
  const line = new Float64Array(grid.width * 4);
  const limits = noise.map((deviation) => (ABOVE_NOISE * deviation) ** 2);
  return {
    noise,
    writeRow(y, out) {
      const v = Math.min(grid.height - 1, Math.max(0, (y + 0.5) * down - 0.5));
      const v0 = Math.min(Math.max(0, grid.height - 2), v | 0);
      const fv = v - v0;
      const row = v0 * grid.width * 4;
      for (let k = 0; k < line.length; k++)
        line[k] = (1 - fv) * fields[row + k] + fv * fields[row + next + k];
      for (let x = 0, i = y * width * 4, at = 0; x < width; x++, i += 4, at += 3) {
        if (data[i + 3] < OPAQUE) continue;
        const red = LINEAR_OF_BYTE[data[i]];
        const green = LINEAR_OF_BYTE[data[i + 1]];
        const blue = LINEAR_OF_BYTE[data[i + 2]];
        const long = longRoot(red, green, blue);
        const medium = mediumRoot(red, green, blue);
        const short = shortRoot(red, green, blue);
        const L = lightnessOf(long, medium, short);
        const a = aOf(long, medium, short);
        const b = bOf(long, medium, short);
        out[at] = L;
        out[at + 1] = a;
        out[at + 2] = b;
        // A colour of its own twice as strong is no noise about a quiet one.
        const chroma = Math.sqrt(a * a + b * b);
        if (chroma >= 2 * NONE) continue;
        const fu = shares[x];
        const c = columns[x];
        const d = c + right;
        const fw = 1 - fu;
        const smoothA = (fw * line[c] + fu * line[d]) * L + fw * line[c + 1] + fu * line[d + 1];
        const smoothB =
          (fw * line[c + 2] + fu * line[d + 2]) * L + fw * line[c + 3] + fu * line[d + 3];
        const strength = Math.max(chroma / 2, Math.sqrt(smoothA * smoothA + smoothB * smoothB));
        if (strength >= NONE) continue;
        const offA = a - smoothA;
        const offB = b - smoothB;
        const limit = limits[Math.min(BANDS - 1, (L * BANDS) | 0)];
        const quiet = strength <= FULL ? 1 : (NONE - strength) / (NONE - FULL);
        const share = quiet / (1 + (offA * offA + offB * offB) / limit);
        const evenA = a - share * offA;
        const evenB = b - share * offB;
        // What has a hue keeps it: of such a pixel only the chroma is evened.
        const hue = chroma <= NO_HUE ? 0 : chroma >= HUE ? 1 : (chroma - NO_HUE) / (HUE - NO_HUE);
        const along = hue > 0 ? Math.max(0, evenA * a + evenB * b) / (chroma * chroma) : 0;
        out[at + 1] = evenA + hue * (along * a - evenA);
        out[at + 2] = evenB + hue * (along * b - evenB);
      }
    },
  };
}

/** Smooth chroma as a guided filter finds it, on cells. */
export interface SmoothChroma {
  grid: ColourGrid;
  /** Four floats a cell: what a is of lightness (slope, offset), and b. */
  fields: Float32Array;
}

/** What smooth chroma is of lightness, read off a picture in cells (`SMOOTH_CELLS` of them). */
export function smoothChroma(grid: ColourGrid): SmoothChroma {
  const { width, height, oklab, mask } = grid;
  const cells = width * height;
  // Sums over each window: count, L, LL, a, La, b, Lb.
  const sums = new Float64Array(cells * 7);
  for (let c = 0, s = 0; c < cells; c++, s += 7) {
    if (!mask[c]) continue;
    const L = oklab[c * 3];
    const a = oklab[c * 3 + 1];
    const b = oklab[c * 3 + 2];
    sums[s] = 1;
    sums[s + 1] = L;
    sums[s + 2] = L * L;
    sums[s + 3] = a;
    sums[s + 4] = L * a;
    sums[s + 5] = b;
    sums[s + 6] = L * b;
  }
  boxSums(sums, width, height, 7, REACH);
  const fields = new Float64Array(cells * 5);
  for (let c = 0, s = 0, f = 0; c < cells; c++, s += 7, f += 5) {
    const n = sums[s];
    if (n === 0) continue;
    const L = sums[s + 1] / n;
    const a = sums[s + 3] / n;
    const b = sums[s + 5] / n;
    const spread = sums[s + 2] / n - L * L + FLAT;
    const slopeA = (sums[s + 4] / n - L * a) / spread;
    const slopeB = (sums[s + 6] / n - L * b) / spread;
    fields[f] = 1;
    fields[f + 1] = slopeA;
    fields[f + 2] = a - slopeA * L;
    fields[f + 3] = slopeB;
    fields[f + 4] = b - slopeB * L;
  }
  boxSums(fields, width, height, 5, REACH);
  const out = new Float32Array(cells * 4);
  for (let c = 0; c < cells; c++)
    for (let k = 0; k < 4; k++)
      out[c * 4 + k] = fields[c * 5] === 0 ? 0 : fields[c * 5 + 1 + k] / fields[c * 5];
  return { grid, fields: out };
}

const NOISE_BINS = 400;
const NOISE_BIN = 0.0002;
const MIN_NOISE = 0.0006;

/** Deviation of a pixel's a or b by band of lightness, from the median difference of pixels a little apart. */
function pixelNoise({ width, height, data }: Picture): Float64Array {
  const counts = new Uint32Array(BANDS * NOISE_BINS);
  const one = new Float64Array(3);
  const other = new Float64Array(3);
  const read = (i: number, out: Float64Array) =>
    writeOklab(
      LINEAR_OF_BYTE[data[i]],
      LINEAR_OF_BYTE[data[i + 1]],
      LINEAR_OF_BYTE[data[i + 2]],
      out,
      0,
    );
  // Some hundred thousand pairs tell enough of any picture.
  const stride = Math.max(1, Math.round(Math.sqrt((width * height) / 120_000)));
  for (let y = 0; y < height; y += stride)
    for (let x = 0; x + APART < width; x += stride) {
      const i = (y * width + x) * 4;
      if (data[i + 3] < OPAQUE || data[i + 4 * APART + 3] < OPAQUE) continue;
      read(i, one);
      read(i + 4 * APART, other);
      const band = Math.min(BANDS - 1, (one[0] * BANDS) | 0) * NOISE_BINS;
      for (const k of [1, 2]) {
        const bin = Math.min(NOISE_BINS - 1, (Math.abs(one[k] - other[k]) / NOISE_BIN) | 0);
        counts[band + bin]++;
      }
    }
  const deviation = (from: number, to: number) => {
    let all = 0;
    for (let i = from; i < to; i++) all += counts[i];
    let sum = 0;
    for (let bin = 0; bin < NOISE_BINS; bin++) {
      for (let i = from + bin; i < to; i += NOISE_BINS) sum += counts[i];
      if (2 * sum >= all)
        return Math.max(MIN_NOISE, ((bin + 0.5) * NOISE_BIN) / (0.6745 * Math.SQRT2));
    }
    return MIN_NOISE;
  };
  const whole = deviation(0, counts.length);
  return Float64Array.from({ length: BANDS }, (_, band) => {
    const from = band * NOISE_BINS;
    let pairs = 0;
    for (let i = from; i < from + NOISE_BINS; i++) pairs += counts[i];
    return pairs < 400 ? whole : deviation(from, from + NOISE_BINS);
  });
}
