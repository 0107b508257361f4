import { BYTE_OF_LINEAR, ENCODE_STEPS, luminance } from '../colour/srgb';
import { quickValueOfLuminance } from '../colour/value';
import { BLOCK, blocksOf, coarsen, type Blocks } from './blocks';
import { integralImage } from '../raster/integral-image';
import type { Picture } from './picture';
import { valueHundredths, TRANSPARENT } from './value-map';

/** The most that a person squints: a radius of 5 % of the diagonal. */
export const MAX_SQUINT = 0.05;
/** The squint that zones are read at when nobody says otherwise: grain and brushwork merge, shapes stay. */
export const DEFAULT_SQUINT = 0.008;

/** Cells of the small picture that a radius spans: enough for a quadrant's variance to mean something. */
const CELLS_A_RADIUS = 4;
/** Below this many pixels of radius a cell is one block, from there on at least two a side. */
const SMALL_RADIUS = 3;
/** Variance of value (Munsell steps squared) below which quadrants count as equally steady. */
const FLAT_VARIANCE = 0.0025;
/** How far a pixel's own value may lie from a cell's and still take its colour, in Munsell steps. */
const REACH = 0.9;

/** Blocks with the Munsell value of each. */
type Grid = Blocks & { value: Float32Array };

/**
 * The picture as through half-closed eyes: shapes merge, edges between different values stay.
 * `radius` is a share of the diagonal, 0 to 0.05. Each place becomes a mean of its four quadrants,
 * the steadiest in value weighing most, worked out on a coarse grid and laid back along the
 * picture's own edges of value. All of it is means of linear light around a place, so that no value
 * comes out beyond its neighbourhood's, no halo and no new hue. Transparent pixels stay so.
 * Throws a RangeError for a radius outside 0–0.05.
 * Source: M. Kuwahara et al., 1976, with the weights of G. Papari, N. Petkov, P. Campisi, "Artistic
 * edge and corner enhancing smoothing", IEEE Trans. Image Processing 16(10), 2007; laid back as in
 * J. Kopf et al., "Joint bilateral upsampling", SIGGRAPH 2007.
 */
export function squint(picture: Picture, radius: number): Picture {
  return squinter(picture)(radius);
}

/** `squint` of one picture at one radius after another: what does not depend on the radius is made once. */
export function squinter(
  picture: Picture,
  blocks: () => Blocks = () => blocksOf(picture),
  hundredths: () => Uint16Array = () => valueHundredths(picture),
): (radius: number) => Picture {
  const diagonal = Math.hypot(picture.width, picture.height);
  let prepared: { values: Uint16Array; blocks: Blocks } | null = null;
  return (radius) => {
    if (!(radius >= 0 && radius <= MAX_SQUINT))
      throw new RangeError(`a squint of ${radius}; 0 to ${MAX_SQUINT} of the diagonal can be made`);
    const pixels = radius * diagonal;
    if (pixels < 1) return picture;
    prepared ??= { values: hundredths(), blocks: blocks() };
    // Small cells cost much; the picture's own edges are laid back anyway.
    const least = pixels < SMALL_RADIUS ? 1 : 2;
    const side = Math.max(least, Math.round(pixels / CELLS_A_RADIUS / BLOCK));
    const cells = coarsen(prepared.blocks, side);
    const coarse = { ...cells, value: valuesOf(cells.rgb) };
    const reach = Math.max(1, Math.round(pixels / coarse.side));
    return jointBilateralUpsampling(picture, prepared.values, kuwahara(coarse, reach));
  };
}

function valuesOf(rgb: Float32Array): Float32Array {
  const values = new Float32Array(rgb.length / 3);
  for (let c = 0; c < values.length; c++)
    values[c] = quickValueOfLuminance(luminance(rgb[c * 3], rgb[c * 3 + 1], rgb[c * 3 + 2]));
  return values;
}

/** Channels of the integral image: cells, value, value squared and light. */
const CHANNELS = 6;

function sumsOf({ width, height, rgb, value, opaque }: Grid): Float64Array {
  return integralImage(width, height, CHANNELS, (c, out) => {
    if (!opaque[c]) return;
    const v = value[c];
    out[0] = 1;
    out[1] = v;
    out[2] = v * v;
    out[3] = rgb[c * 3];
    out[4] = rgb[c * 3 + 1];
    out[5] = rgb[c * 3 + 2];
  }).sums;
}

/**
 * What each square of `reach` + 1 cells a side says: four floats, its weight by steadiness and its
 * mean light times that weight. Squares by their upper left corner, from `reach` cells outside the
 * grid on; the part outside counts for nothing. Each serves the four cells in its corners.
 */
function weightedQuadrants(grid: Grid, reach: number): Float64Array {
  const { width, height } = grid;
  const sums = sumsOf(grid);
  const across = width + reach;
  const out = new Float64Array(across * (height + reach) * 4);
  for (let y = -reach, o = 0; y < height; y++) {
    const top = Math.max(0, y) * (width + 1);
    const bottom = Math.min(height, y + reach + 1) * (width + 1);
    for (let x = -reach; x < width; x++, o += 4) {
      const left = Math.max(0, x);
      const right = Math.min(width, x + reach + 1);
      const a = (top + left) * CHANNELS;
      const e = (top + right) * CHANNELS;
      const f = (bottom + left) * CHANNELS;
      const d = (bottom + right) * CHANNELS;
      const n = sums[d] - sums[e] - sums[f] + sums[a];
      if (n <= 0) continue;
      const mean = (sums[d + 1] - sums[e + 1] - sums[f + 1] + sums[a + 1]) / n;
      const square = (sums[d + 2] - sums[e + 2] - sums[f + 2] + sums[a + 2]) / n;
      // To the fourth power: how sharply the steadiest are preferred.
      const steadiness = 1 / (FLAT_VARIANCE + Math.max(0, square - mean * mean)) ** 2;
      const weight = steadiness * steadiness;
      const part = weight / n;
      out[o] = weight;
      out[o + 1] = part * (sums[d + 3] - sums[e + 3] - sums[f + 3] + sums[a + 3]);
      out[o + 2] = part * (sums[d + 4] - sums[e + 4] - sums[f + 4] + sums[a + 4]);
      out[o + 3] = part * (sums[d + 5] - sums[e + 5] - sums[f + 5] + sums[a + 5]);
    }
  }
  return out;
}

/** Every cell as the mean of its quadrants, the steadiest weighing most. */
function kuwahara(grid: Grid, reach: number): Grid {
  const { width, height, opaque } = grid;
  const from = weightedQuadrants(grid, reach);
  const across = width + reach;
  const rgb = new Float32Array(grid.rgb.length);
  for (let y = 0, c = 0; y < height; y++) {
    for (let x = 0; x < width; x++, c++) {
      if (!opaque[c]) continue;
      const nw = (y * across + x) * 4;
      const ne = nw + reach * 4;
      const sw = nw + reach * across * 4;
      const se = sw + reach * 4;
      const all = 1 / (from[nw] + from[ne] + from[sw] + from[se]);
      for (let k = 0; k < 3; k++)
        rgb[c * 3 + k] =
          (from[nw + k + 1] + from[ne + k + 1] + from[sw + k + 1] + from[se + k + 1]) * all;
    }
  }
  return { ...grid, rgb, value: valuesOf(rgb) };
}

/** So small a weight that it counts only where there is no other. */
const MIN_WEIGHT = 1e-4;
/** A pixel's likeness to a cell by the hundredths that their values are apart. */
const LIKENESS = Float32Array.from(
  { length: 1001 },
  (_, hundredths) => Math.exp(-((hundredths / 100 / REACH) ** 2)) + MIN_WEIGHT,
);

/** Along one side, between which two cells each pixel lies and how far on: `first` + `share`. */
function between(pixels: number, cells: number, cell: number) {
  const first = new Int32Array(pixels);
  const share = new Float32Array(pixels);
  for (let p = 0; p < pixels; p++) {
    const at = Math.min(cells - 1, Math.max(0, (p + 0.5) / cell - 0.5));
    first[p] = Math.min(Math.max(0, cells - 2), Math.floor(at));
    share[p] = at - first[p];
  }
  return { first, share };
}

/**
 * Each pixel as a mean of the four cells around it, those weighing most whose value is most like its
 * own. By the four cells, then by the pixels between them, and unrolled: this loop is what a squint costs.
 */
function jointBilateralUpsampling(
  { width, height }: Picture,
  values: Uint16Array,
  grid: Grid,
): Picture {
  const { width: across, height: down, side, rgb, value, opaque } = grid;
  const out = new Uint8ClampedArray(width * height * 4);
  // No clamping is needed: means of light stay within it.
  const bytes = new Uint8Array(out.buffer);
  const columns = between(width, across, side);
  const rows = between(height, down, side);
  const beside = across > 1 ? 1 : 0;
  const below = down > 1 ? across : 0;
  for (let top = 0, bottom = 0; top < height; top = bottom) {
    while (bottom < height && rows.first[bottom] === rows.first[top]) bottom++;
    for (let left = 0, right = 0; left < width; left = right) {
      while (right < width && columns.first[right] === columns.first[left]) right++;
      const a = rows.first[top] * across + columns.first[left];
      const b = a + beside;
      const c = a + below;
      const d = c + beside;
      const sa = opaque[a];
      const sb = opaque[b];
      const sc = opaque[c];
      const sd = opaque[d];
      const va = Math.round(value[a] * 100);
      const vb = Math.round(value[b] * 100);
      const vc = Math.round(value[c] * 100);
      const vd = Math.round(value[d] * 100);
      const ra = rgb[a * 3];
      const rb = rgb[b * 3];
      const rc = rgb[c * 3];
      const rd = rgb[d * 3];
      const ga = rgb[a * 3 + 1];
      const gb = rgb[b * 3 + 1];
      const gc = rgb[c * 3 + 1];
      const gd = rgb[d * 3 + 1];
      const ba = rgb[a * 3 + 2];
      const bb = rgb[b * 3 + 2];
      const bc = rgb[c * 3 + 2];
      const bd = rgb[d * 3 + 2];
      const all = sa && sb && sc && sd;
      for (let y = top; y < bottom; y++) {
        const fy = rows.share[y];
        const upper = 1 - fy;
        for (let x = left, p = y * width + left; x < right; x++, p++) {
          const own = values[p];
          if (own === TRANSPARENT) continue;
          const fx = columns.share[x];
          let wa = (1 - fx) * upper * LIKENESS[Math.abs(va - own)];
          let wb = fx * upper * LIKENESS[Math.abs(vb - own)];
          let wc = (1 - fx) * fy * LIKENESS[Math.abs(vc - own)];
          let wd = fx * fy * LIKENESS[Math.abs(vd - own)];
          if (!all) {
            // The only cell that is seen may be one that would weigh nothing.
            wa = sa * (wa + MIN_WEIGHT);
            wb = sb * (wb + MIN_WEIGHT);
            wc = sc * (wc + MIN_WEIGHT);
            wd = sd * (wd + MIN_WEIGHT);
          }
          const part = ENCODE_STEPS / (wa + wb + wc + wd);
          const i = p * 4;
          bytes[i] = BYTE_OF_LINEAR[((wa * ra + wb * rb + wc * rc + wd * rd) * part + 0.5) | 0];
          bytes[i + 1] = BYTE_OF_LINEAR[((wa * ga + wb * gb + wc * gc + wd * gd) * part + 0.5) | 0];
          bytes[i + 2] = BYTE_OF_LINEAR[((wa * ba + wb * bb + wc * bc + wd * bd) * part + 0.5) | 0];
          bytes[i + 3] = 255;
        }
      }
    }
  }
  return { width, height, data: out };
}
