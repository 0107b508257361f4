import { byteOfLinear, LINEAR_OF_BYTE } from '../colour/srgb';
import { quickValueOfLuminance } from '../colour/value';
import { BLUE_PART, byLuminance, GREEN_PART, RED_PART } from './luminance';
import { OPAQUE, type Picture } from './picture';

/** The most that a person squints: a radius of 5 % of the diagonal. */
export const MOST_SQUINT = 0.05;
/** The squint that zones are read at when nobody says otherwise: grain and brushwork merge, shapes stay. */
export const PLAIN_SQUINT = 0.008;

/** Cells of the small picture that a radius spans: enough for a quadrant's variance to mean something. */
const CELLS_A_RADIUS = 4;
/** Variance of value (Munsell steps squared) below which quadrants count as equally steady. */
const STEADY = 0.0025;
/** How far a pixel's own value may lie from a cell's and still take its colour, in Munsell steps. */
const REACH = 0.9;

/** A picture of linear light on a coarse grid, with the value of each cell; `seen` 0 where nothing is opaque. */
interface Grid {
  width: number;
  height: number;
  /** Pixels a cell's side. */
  cell: number;
  rgb: Float32Array;
  value: Float32Array;
  seen: Uint8Array;
}

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
  if (!(radius >= 0 && radius <= MOST_SQUINT))
    throw new RangeError(`a squint of ${radius}; 0 to ${MOST_SQUINT} of the diagonal can be made`);
  const pixels = radius * Math.hypot(picture.width, picture.height);
  if (pixels < 1) return picture;
  const cell = Math.max(2, Math.round(pixels / CELLS_A_RADIUS));
  const coarse = coarsen(picture, cell);
  return layBack(picture, steadied(coarse, Math.max(1, Math.round(pixels / cell))));
}

function coarsen({ width, height, data }: Picture, cell: number): Grid {
  const across = Math.ceil(width / cell);
  const down = Math.ceil(height / cell);
  const rgb = new Float32Array(across * down * 3);
  const counts = new Float32Array(across * down);
  for (let y = 0; y < height; y++) {
    const row = ((y / cell) | 0) * across;
    for (let x = 0; x < width; x++) {
      const i = (y * width + x) * 4;
      if (data[i + 3] < OPAQUE) continue;
      const c = row + ((x / cell) | 0);
      rgb[c * 3] += LINEAR_OF_BYTE[data[i]];
      rgb[c * 3 + 1] += LINEAR_OF_BYTE[data[i + 1]];
      rgb[c * 3 + 2] += LINEAR_OF_BYTE[data[i + 2]];
      counts[c]++;
    }
  }
  const seen = new Uint8Array(across * down);
  for (let c = 0; c < counts.length; c++) {
    if (counts[c] === 0) continue;
    seen[c] = 1;
    for (let k = 0; k < 3; k++) rgb[c * 3 + k] /= counts[c];
  }
  return { width: across, height: down, cell, rgb, seen, value: valuesOf(rgb) };
}

function valuesOf(rgb: Float32Array): Float32Array {
  const values = new Float32Array(rgb.length / 3);
  for (let c = 0; c < values.length; c++)
    values[c] = quickValueOfLuminance(
      0.2126390058715104 * rgb[c * 3] +
        0.7151686787677559 * rgb[c * 3 + 1] +
        0.07219231536073371 * rgb[c * 3 + 2],
    );
  return values;
}

/** Running sums of cells, value, value squared and light, so that a box of any size costs the same. */
const SUMS = 6;

function summed({ width, height, rgb, value, seen }: Grid): Float64Array {
  const sums = new Float64Array((width + 1) * (height + 1) * SUMS);
  const row = new Float64Array(SUMS);
  for (let y = 0; y < height; y++) {
    row.fill(0);
    for (let x = 0; x < width; x++) {
      const c = y * width + x;
      if (seen[c]) {
        const v = value[c];
        row[0]++;
        row[1] += v;
        row[2] += v * v;
        row[3] += rgb[c * 3];
        row[4] += rgb[c * 3 + 1];
        row[5] += rgb[c * 3 + 2];
      }
      const at = ((y + 1) * (width + 1) + x + 1) * SUMS;
      const above = (y * (width + 1) + x + 1) * SUMS;
      for (let k = 0; k < SUMS; k++) sums[at + k] = sums[above + k] + row[k];
    }
  }
  return sums;
}

/** Every cell as the mean of its quadrants, the steadiest weighing most. */
function steadied(grid: Grid, reach: number): Grid {
  const { width, height, seen } = grid;
  const sums = summed(grid);
  const rgb = new Float32Array(grid.rgb.length);
  for (let y = 0; y < height; y++) {
    const top = Math.max(0, y - reach);
    const bottom = Math.min(height, y + reach + 1);
    for (let x = 0; x < width; x++) {
      const c = y * width + x;
      if (!seen[c]) continue;
      const left = Math.max(0, x - reach);
      const right = Math.min(width, x + reach + 1);
      let weights = 0;
      let r = 0;
      let g = 0;
      let b = 0;
      for (let quadrant = 0; quadrant < 4; quadrant++) {
        const x0 = quadrant & 1 ? x : left;
        const x1 = quadrant & 1 ? right : x + 1;
        const y0 = quadrant & 2 ? y : top;
        const y1 = quadrant & 2 ? bottom : y + 1;
        const a = (y0 * (width + 1) + x0) * SUMS;
        const d = (y1 * (width + 1) + x1) * SUMS;
        const e = (y0 * (width + 1) + x1) * SUMS;
        const f = (y1 * (width + 1) + x0) * SUMS;
        const n = sums[d] - sums[e] - sums[f] + sums[a];
        if (n <= 0) continue;
        const mean = (sums[d + 1] - sums[e + 1] - sums[f + 1] + sums[a + 1]) / n;
        const square = (sums[d + 2] - sums[e + 2] - sums[f + 2] + sums[a + 2]) / n;
        // To the fourth power: how sharply the steadiest quadrants are preferred.
        const steadiness = 1 / (STEADY + Math.max(0, square - mean * mean)) ** 2;
        const weight = steadiness * steadiness;
        weights += weight;
        r += (weight * (sums[d + 3] - sums[e + 3] - sums[f + 3] + sums[a + 3])) / n;
        g += (weight * (sums[d + 4] - sums[e + 4] - sums[f + 4] + sums[a + 4])) / n;
        b += (weight * (sums[d + 5] - sums[e + 5] - sums[f + 5] + sums[a + 5])) / n;
      }
      rgb[c * 3] = r / weights;
      rgb[c * 3 + 1] = g / weights;
      rgb[c * 3 + 2] = b / weights;
    }
  }
  return { ...grid, rgb, value: valuesOf(rgb) };
}

/** Values in hundredths of a Munsell step: fine enough to tell likeness by, and quick. */
const HUNDREDTHS = byLuminance(Uint16Array, (Y) => Math.round(quickValueOfLuminance(Y) * 100));

/** So small a weight that it counts only where there is no other. */
const LEAST = 1e-4;
/** A pixel's likeness to a cell by the hundredths that their values are apart. */
const LIKENESS = Float64Array.from(
  { length: 1001 },
  (_, hundredths) => Math.exp(-((hundredths / 100 / REACH) ** 2)) + LEAST,
);

/**
 * Each pixel as a mean of the four cells around it, those weighing most whose value is most like its
 * own. Unrolled over the corners: this loop is what a squint costs.
 */
function layBack({ width, height, data }: Picture, grid: Grid): Picture {
  const { width: across, height: down, cell, rgb, value, seen } = grid;
  const out = new Uint8ClampedArray(data.length);
  const values = Int16Array.from(value, (one) => Math.round(one * 100));
  const beside = across > 1 ? 1 : 0;
  const below = down > 1 ? across : 0;
  const column = new Int32Array(width);
  const share = new Float32Array(width);
  for (let x = 0; x < width; x++) {
    const gx = Math.min(across - 1, Math.max(0, (x + 0.5) / cell - 0.5));
    column[x] = Math.min(Math.max(0, across - 2), Math.floor(gx));
    share[x] = gx - column[x];
  }
  for (let y = 0; y < height; y++) {
    const gy = Math.min(down - 1, Math.max(0, (y + 0.5) / cell - 0.5));
    const y0 = Math.min(Math.max(0, down - 2), Math.floor(gy));
    const fy = gy - y0;
    const row = y0 * across;
    for (let x = 0, i = y * width * 4; x < width; x++, i += 4) {
      if (data[i + 3] < OPAQUE) continue;
      const own =
        HUNDREDTHS[
          (RED_PART[data[i]] + GREEN_PART[data[i + 1]] + BLUE_PART[data[i + 2]] + 0.5) | 0
        ];
      const fx = share[x];
      const a = row + column[x];
      const b = a + beside;
      const c = a + below;
      const d = c + beside;
      const wa = seen[a] * ((1 - fx) * (1 - fy) + LEAST) * LIKENESS[Math.abs(values[a] - own)];
      const wb = seen[b] * (fx * (1 - fy) + LEAST) * LIKENESS[Math.abs(values[b] - own)];
      const wc = seen[c] * ((1 - fx) * fy + LEAST) * LIKENESS[Math.abs(values[c] - own)];
      const wd = seen[d] * (fx * fy + LEAST) * LIKENESS[Math.abs(values[d] - own)];
      const all = 1 / (wa + wb + wc + wd);
      const a3 = a * 3;
      const b3 = b * 3;
      const c3 = c * 3;
      const d3 = d * 3;
      out[i] = byteOfLinear((wa * rgb[a3] + wb * rgb[b3] + wc * rgb[c3] + wd * rgb[d3]) * all);
      out[i + 1] = byteOfLinear(
        (wa * rgb[a3 + 1] + wb * rgb[b3 + 1] + wc * rgb[c3 + 1] + wd * rgb[d3 + 1]) * all,
      );
      out[i + 2] = byteOfLinear(
        (wa * rgb[a3 + 2] + wb * rgb[b3 + 2] + wc * rgb[c3 + 2] + wd * rgb[d3 + 2]) * all,
      );
      out[i + 3] = 255;
    }
  }
  return { width, height, data: out };
}
