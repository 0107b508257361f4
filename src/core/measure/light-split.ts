import { NO_VALUE, valueOfBin, valueOfEdge, type ValueImage } from '../picture/value-map';
import type { Border } from './borders';
import type { Masses } from './masses';
import { naturalEdges } from './thresholds';
import { localColourLikeness } from './warm-cool';
import { zoneMap } from './zones';

export const SHADOW = 0;
export const LIGHT = 1;

/** What is lit and what is not, before any correction by hand. */
export interface LightSplit {
  squinted: ValueImage;
  /** Otsu's threshold of the whole picture: the bin edge that each mass's own starts from. */
  edge: number;
  /** `SHADOW` or `LIGHT` for each pixel, `NO_VALUE` where it is transparent. */
  sides: Uint8Array;
}

/** What the picture's threshold counts, where one pair that fills a mass and is surely light and shadow counts 1. */
const PICTURE_WEIGHT = 0.1;
/** OKLab L of one local colour in the light, against its shadow: from here on it may be one, and surely is. */
const MIN_RATIO = 1.15;
const FULL_RATIO = 1.6;
/** Cells along the longer side; with fewer, a mass of the least share is a handful of cells and all border. */
const MIN_CELLS = 60;
/** Against division by the L of black. */
const MIN_L = 0.05;

/**
 * Parts light from shadow: by Otsu's threshold of the squinted values, moved for each mass by those that
 * touch it and could be its local colour in the other light. So a dark coat in the sun, beside its own
 * darker folds, is light, and a white cloth in the shade, beside what of it is lit, is shadow. A mass
 * without such a neighbour keeps the threshold of the picture. `found` are the masses of the picture and of its
 * mirror image, whose cells fall otherwise: each pixel goes by the mean of both thresholds, so that left and right are alike.
 */
export function splitLight(
  squinted: ValueImage,
  found: readonly { masses: Masses; borders: readonly Border[]; isMirrored: boolean }[],
): LightSplit {
  const edge = naturalEdges(squinted.counts, 2)[0];
  const threshold = valueOfEdge(edge);
  const {
    map,
    picture: { width, height },
  } = squinted;
  if (found.some(({ masses: { grid } }) => Math.max(grid.width, grid.height) < MIN_CELLS))
    return { squinted, edge, sides: zoneMap(map, [edge]) };
  const maps = found.map(({ masses, borders, isMirrored }) => ({
    ofCell: cellThresholds(masses, borders, threshold),
    ofRow: (y: number) => Math.floor((y / height) * masses.grid.down) * masses.grid.width,
    ofColumn: cellColumns(width, masses.grid.across, isMirrored),
  }));
  const values = Float64Array.from(
    { length: NO_VALUE },
    (_, bin) => valueOfBin(bin) * found.length,
  );
  const sides = new Uint8Array(map.length);
  const sums = new Float64Array(width);
  // The first bin of each column that is light: the same in all rows of pixels that a row of cells covers.
  const limits = new Uint8Array(width);
  let before = '';
  for (let y = 0; y < height; y++) {
    const rows = maps.map(({ ofRow }) => ofRow(y));
    if (rows.join() !== before) {
      before = rows.join();
      sums.fill(0);
      maps.forEach(({ ofCell, ofColumn }, i) => addThresholds(sums, ofCell, ofColumn, rows[i]));
      for (let x = 0; x < width; x++) limits[x] = firstBinFrom(sums[x], values);
    }
    partRow(sides, map, limits, y * width);
  }
  return { squinted, edge, sides };
}

/** Adds the thresholds of a row of cells to those of each column of pixels. */
function addThresholds(
  sums: Float64Array,
  ofCell: Float64Array,
  ofColumn: Int32Array,
  row: number,
): void {
  for (let x = 0; x < sums.length; x++) sums[x] += ofCell[row + ofColumn[x]];
}

/** The sides of a row of pixels from `start` on, by the first bin of each column that is light. */
function partRow(sides: Uint8Array, map: Uint8Array, limits: Uint8Array, start: number): void {
  for (let x = 0, p = start; x < limits.length; x++, p++)
    sides[p] = map[p] === NO_VALUE ? NO_VALUE : map[p] < limits[x] ? SHADOW : LIGHT;
}

/** The column of cells that each column of pixels lies in. */
function cellColumns(width: number, across: number, isMirrored: boolean): Int32Array {
  const columns = new Int32Array(width);
  for (let x = 0; x < width; x++)
    columns[x] = Math.floor(((isMirrored ? width - 1 - x : x) / width) * across);
  return columns;
}

/** The first bin whose value is not below a threshold; values rise from bin to bin. */
function firstBinFrom(threshold: number, values: Float64Array): number {
  let low = 0;
  let high = values.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (values[middle] < threshold) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The threshold of each cell: of its mass, or of the picture where there is none. */
function cellThresholds(
  masses: Masses,
  borders: readonly Border[],
  threshold: number,
): Float64Array {
  const own = massThresholds(masses, borders, threshold);
  const thresholds = new Float64Array(masses.labels.length);
  for (let c = 0; c < thresholds.length; c++) {
    const mass = masses.labels[c];
    thresholds[c] = mass < 0 ? threshold : own[mass];
  }
  return thresholds;
}

/** The Munsell value that parts light from shadow in each mass: half way between it and its likely other side. */
function massThresholds(
  { masses }: Masses,
  borders: readonly Border[],
  threshold: number,
): number[] {
  const weights = masses.map(() => PICTURE_WEIGHT);
  const sums = masses.map(() => PICTURE_WEIGHT * threshold);
  for (const { one, other } of borders) {
    const [lighter, darker] =
      masses[one].value >= masses[other].value
        ? [masses[one], masses[other]]
        : [masses[other], masses[one]];
    const ratio = lighter.colour.L / Math.max(MIN_L, darker.colour.L);
    const step = Math.min(1, Math.max(0, (ratio - MIN_RATIO) / (FULL_RATIO - MIN_RATIO)));
    if (step === 0) continue;
    const alike = step * localColourLikeness(lighter.colour, darker.colour);
    const small = Math.min(lighter.share, darker.share);
    for (const i of [one, other]) {
      // A fold says less of a whole wall than the wall of the fold.
      const weight = alike * Math.sqrt(small / masses[i].share);
      weights[i] += weight;
      sums[i] += (weight * (lighter.value + darker.value)) / 2;
    }
  }
  return sums.map((sum, i) => sum / weights[i]);
}
