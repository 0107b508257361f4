import type { Oklab } from '../colour/oklab';
import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { connectedComponents } from '../raster/connected-components';
import { boxSum, integralImage, type IntegralImage } from '../raster/integral-image';
import { polesOfInaccessibility } from '../raster/pole-of-inaccessibility';

export type Reason = 'value' | 'hue' | 'chroma';

/** A place where contrast is strongest. */
export interface FocalPlace extends Place {
  /** What makes it so. */
  reason: Reason;
  /** Against the strongest place of the picture, 0–1. */
  strength: number;
  /** Half the side of the square it was found in, a share of the picture's diagonal. */
  radius: number;
  /** The two colours that meet there: the darker and the lighter half for value, the duller and the stronger for chroma. */
  meets: [Oklab, Oklab];
}

/** A part of the picture with nothing going on. */
export interface QuietPlace extends Place {
  /** Of the picture, 0–1. */
  share: number;
}

export interface FocusReading {
  /** The strongest places, the strongest first; none in a flat picture. */
  places: FocalPlace[];
  /** The quiet places, the largest first. */
  quiet: QuietPlace[];
  /** Contrast of each cell of the grid, the strongest 1. */
  busy: Float32Array;
}

/** Half the sides of the squares that are looked at, as shares of the diagonal: the three scales. */
const SCALES = [0.015, 0.03, 0.06];
/** Cells along the longer side that contrast is read on. */
export const FOCUS_CELLS = 160;
const MAX_PLACES = 5;
/** Places weaker than this against the strongest are no focus. */
const MIN_STRENGTH = 0.45;
/** How far places stand apart, as a share of the diagonal. */
const APART = 0.12;
/** Under this the contrast around a cell is quiet, against the mean of the picture. */
const QUIET = 0.4;
const MIN_QUIET = 0.03;

/**
 * Contrast below which a picture is flat: standard deviations of value (Munsell steps), of OKLCH
 * chroma, and of hue as a distance in OKLab a, b. They are also the least that contrast is held
 * against, so that grain in a flat picture is no focus.
 */
const FLOORS: Record<Reason, number> = { value: 0.6, chroma: 0.025, hue: 0.025 };
/** Contrast in no way above this part of a floor is none. */
const FLAT = 0.5;
const REASONS = ['value', 'hue', 'chroma'] as const;
const VALUE = 0;
/** So many standard deviations of the picture's value away from its mean, a place is rare: the one lamp in a dark room. */
const RARE = 2;
/** What each deviation beyond that adds to a place's contrast. */
const RARITY = 0.5;

/**
 * Where contrast is strongest and where it rests. Around each cell, in squares of three sizes, the
 * spread of value, of chroma and of hue (what is left of the spread of a, b when that of chroma is
 * taken off) is held against the spread of the whole picture: a place stands out by what the rest
 * does not have.
 */
export function readFocus(grid: ColourGrid): FocusReading {
  const sums = sumsOf(grid);
  spreadIn(sums, 0, 0, grid.width, grid.height);
  const scales = REASONS.map((reason, k) => Math.max(FLOORS[reason], spread[k]) * SCALES.length);
  const usualValue = meanValue;
  const floors = REASONS.map((reason) => FLAT * FLOORS[reason]);
  const diagonal = Math.hypot(grid.across, grid.down);
  const reaches = SCALES.map((share) => Math.max(1, Math.round(share * diagonal)));
  const cells = grid.width * grid.height;
  const strength = new Float32Array(cells);
  const parts = new Float32Array(cells * 3);
  for (let c = 0; c < cells; c++) {
    if (!grid.mask[c]) continue;
    for (const reach of reaches) {
      spreadAround(sums, grid, c, reach);
      for (let k = 0; k < 3; k++)
        if (spread[k] > floors[k]) parts[c * 3 + k] += spread[k] / scales[k];
      if (reach !== reaches[0]) continue;
      const rare = (Math.abs(meanValue - usualValue) * reaches.length) / scales[VALUE] - RARE;
      if (rare > 0) parts[c * 3 + VALUE] += RARITY * rare;
    }
    const inside = insideShare(grid, c, reaches[1]);
    for (let k = 0; k < 3; k++) parts[c * 3 + k] *= inside;
    strength[c] = Math.sqrt(
      parts[c * 3] * parts[c * 3] +
        parts[c * 3 + 1] * parts[c * 3 + 1] +
        parts[c * 3 + 2] * parts[c * 3 + 2],
    );
  }
  const strongest = strength.reduce((most, one) => Math.max(most, one), 0);
  const busy = strength.map((one) => (strongest > 0 ? one / strongest : 0));
  return {
    places: strongest > 0 ? focalPlaces(grid, busy, parts, reaches[1]) : [],
    quiet: quietPlaces(grid, busy),
    busy,
  };
}

/** How much of the square around a cell lies inside the picture, 0–1: where an edge leaves the picture, nothing comes together. */
function insideShare({ width, across, down }: ColourGrid, cell: number, reach: number): number {
  const x = cell % width;
  const y = Math.floor(cell / width);
  const side = 2 * reach + 1;
  const wide = Math.min(across, x + reach + 1) - Math.max(0, x - reach);
  const tall = Math.min(down, y + reach + 1) - Math.max(0, y - reach);
  return (wide / side) * (tall / side);
}

function focalPlaces(
  grid: ColourGrid,
  busy: Float32Array,
  parts: Float32Array,
  reach: number,
): FocalPlace[] {
  const { width } = grid;
  const diagonal = Math.hypot(grid.across, grid.down);
  const order = [...busy.keys()]
    .filter((c) => busy[c] >= MIN_STRENGTH)
    .sort((one, other) => busy[other] - busy[one]);
  const found: number[] = [];
  for (const c of order) {
    if (found.length === MAX_PLACES) break;
    const near = found.some(
      (d) =>
        Math.hypot((c % width) - (d % width), Math.floor(c / width) - Math.floor(d / width)) <
        APART * diagonal,
    );
    if (!near) found.push(c);
  }
  return found.map((c) => {
    const own = parts.subarray(c * 3, c * 3 + 3);
    const reason = REASONS[own.indexOf(Math.max(...own))];
    return {
      ...placeOfCell(grid, c),
      reason,
      strength: busy[c],
      radius: reach / diagonal,
      meets: halves(grid, c, reach, reason),
    };
  });
}

/** The mean colours of the two halves that a square falls into by what makes the contrast. */
function halves(grid: ColourGrid, cell: number, reach: number, reason: Reason): [Oklab, Oklab] {
  const { width, height, oklab, value, mask } = grid;
  const x = cell % width;
  const y = Math.floor(cell / width);
  const around: number[] = [];
  for (let j = Math.max(0, y - reach); j <= Math.min(height - 1, y + reach); j++)
    for (let i = Math.max(0, x - reach); i <= Math.min(width - 1, x + reach); i++)
      if (mask[j * width + i]) around.push(j * width + i);
  const axis = reason === 'hue' ? mainAxis(around, oklab) : [0, 0];
  const measure = (c: number) => {
    if (reason === 'value') return value[c];
    const a = oklab[c * 3 + 1];
    const b = oklab[c * 3 + 2];
    return reason === 'chroma' ? Math.hypot(a, b) : a * axis[0] + b * axis[1];
  };
  const measures = around.map(measure);
  const middle = (Math.min(...measures) + Math.max(...measures)) / 2;
  const meanOf = (cells: readonly number[]): Oklab => {
    const [L, a, b] = [0, 1, 2].map(
      (k) => cells.reduce((sum, c) => sum + oklab[c * 3 + k], 0) / cells.length,
    );
    return { L, a, b };
  };
  const upper = around.filter((_, i) => measures[i] >= middle);
  const lower = around.filter((_, i) => measures[i] < middle);
  return [meanOf(lower.length > 0 ? lower : upper), meanOf(upper)];
}

/** The direction in a, b along which cells spread most. */
function mainAxis(cells: readonly number[], oklab: Float32Array): [number, number] {
  const centre = [1, 2].map(
    (k) => cells.reduce((sum, c) => sum + oklab[c * 3 + k], 0) / cells.length,
  );
  let aa = 0;
  let ab = 0;
  let bb = 0;
  for (const c of cells) {
    const a = oklab[c * 3 + 1] - centre[0];
    const b = oklab[c * 3 + 2] - centre[1];
    aa += a * a;
    ab += a * b;
    bb += b * b;
  }
  const angle = Math.atan2(2 * ab, aa - bb) / 2;
  return [Math.cos(angle), Math.sin(angle)];
}

function quietPlaces(grid: ColourGrid, busy: Float32Array): QuietPlace[] {
  let opaque = 0;
  let sum = 0;
  for (let c = 0; c < busy.length; c++) {
    opaque += grid.mask[c];
    sum += busy[c];
  }
  const limit = (QUIET * sum) / Math.max(1, opaque);
  const still = Uint8Array.from(busy, (one, c) => (grid.mask[c] && one <= limit ? 1 : 0));
  const found = connectedComponents(still, grid.width, grid.height, 0);
  const deepest = polesOfInaccessibility(
    Int16Array.from(found.labels),
    grid.width,
    found.size.length,
  );
  return found.size
    .map((size, i) => ({ ...placeOfCell(grid, deepest[i]), share: size / opaque }))
    .filter(({ share }) => share >= MIN_QUIET)
    .sort((one, other) => other.share - one.share)
    .slice(0, MAX_PLACES);
}

/** Channels of the integral image: cells, value, value², chroma, chroma², a, b. */
const CHANNELS = 7;

function sumsOf({ width, height, oklab, value, mask }: ColourGrid): IntegralImage {
  return integralImage(width, height, CHANNELS, (c, out) => {
    if (!mask[c]) return;
    const a = oklab[c * 3 + 1];
    const b = oklab[c * 3 + 2];
    out[0] = 1;
    out[1] = value[c];
    out[2] = value[c] * value[c];
    out[3] = Math.sqrt(a * a + b * b);
    out[4] = a * a + b * b;
    out[5] = a;
    out[6] = b;
  });
}

function spreadAround(sums: IntegralImage, grid: ColourGrid, cell: number, reach: number) {
  const x = cell % grid.width;
  const y = Math.floor(cell / grid.width);
  spreadIn(
    sums,
    Math.max(0, x - reach),
    Math.max(0, y - reach),
    Math.min(grid.width, x + reach + 1),
    Math.min(grid.height, y + reach + 1),
  );
}

const box = new Float64Array(CHANNELS);
/** What `spreadIn` read last, in the order of `REASONS`: written over, so that loops over cells allocate nothing. */
const spread = new Float64Array(REASONS.length);
/** The mean value that goes with it. */
let meanValue = 0;

/** Standard deviations inside a box of cells, into `spread`. */
function spreadIn(sums: IntegralImage, x0: number, y0: number, x1: number, y1: number): void {
  boxSum(sums, x0, y0, x1, y1, box);
  const n = Math.max(1, box[0]);
  const chroma = box[3] / n;
  meanValue = box[1] / n;
  spread[0] = Math.sqrt(Math.max(0, box[2] / n - (box[1] / n) ** 2));
  spread[1] = Math.sqrt(Math.max(0, chroma ** 2 - (box[5] / n) ** 2 - (box[6] / n) ** 2));
  spread[2] = Math.sqrt(Math.max(0, box[4] / n - chroma ** 2));
}
