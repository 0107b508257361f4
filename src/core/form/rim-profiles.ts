import { oklabDistance } from '../colour/oklab';
import type { Mass, Masses } from '../measure/masses';
import type { ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { spreadWave } from '../raster/wavefront';
import { chainSegments, type Segment } from '../raster/polylines';

/** Cells along the longer side that rims are read on. */
export const RIM_CELLS = 400;
/** How far to either side of a border values are read, in cells. */
export const REACH = 26;
/** Borders are read in stretches of about so many cells: what runs along a part of one is found too. */
const STRETCH = 24;
/** Shorter borders are not read. */
const MIN_BORDER = 30;
/** A mass narrower than this on average is a line: it goes to the masses that it parts. In cells. */
const MAX_LINE_WIDTH = 6;
/** One narrower than this is a band, of the neighbour that is most like it, if any is within this OKLab distance. */
const MAX_BAND_WIDTH = 16;
const MAX_BAND_STEP = 0.11;

/** The mean value at growing distance from a stretch of a border, on either side of it. */
export interface RimStretch {
  /** Its number of cell sides. */
  length: number;
  place: Place;
  /** Munsell value by distance in cells, `REACH` of them; NaN where the mass is not as deep. */
  inside: [Float32Array, Float32Array];
}

/** The border of two masses, in stretches. */
export interface Rim {
  masses: [number, number];
  stretches: RimStretch[];
}

/**
 * The profiles of value across all borders between masses. `grid` is of the picture without squint, on
 * about `RIM_CELLS`, `labelled` the mass of each of its cells: what lies along an edge is finer than a squint leaves it.
 */
export function rimProfiles(
  masses: readonly Mass[],
  grid: ColourGrid,
  labelled: Int16Array,
): Rim[] {
  const widths = widthsOf(labelled, grid.width, masses.length);
  const labels = withoutLines(withoutBands(labelled, grid, masses, widths), grid, widths);
  const rims = [...bordersIn(labels, grid).values()].filter(
    ({ segments }) => segments.length >= MIN_BORDER,
  );
  const stretches = rims.flatMap(({ masses: pair, segments }) =>
    chainSegments(segments).flatMap((chain) => {
      const parts = Math.max(1, Math.round(chain.segments.length / STRETCH));
      return Array.from({ length: parts }, (_, part) => ({
        pair,
        segments: chain.segments
          .slice(
            Math.floor((part * chain.segments.length) / parts),
            Math.floor(((part + 1) * chain.segments.length) / parts),
          )
          .map((i) => segments[i]),
      }));
    }),
  );
  const profiles = profilesOf(stretches, labels, grid);
  const rimOf = new Map<[number, number], Rim>(
    rims.map(({ masses: pair }) => [pair, { masses: pair, stretches: [] }]),
  );
  stretches.forEach(({ pair, segments }, i) => {
    const middle = segments[segments.length >> 1];
    rimOf.get(pair)?.stretches.push({
      length: segments.length,
      place: {
        x: Math.min(1, (middle.x0 + middle.x1) / 2 / grid.across),
        y: Math.min(1, (middle.y0 + middle.y1) / 2 / grid.down),
      },
      inside: profiles[i],
    });
  });
  return [...rimOf.values()];
}

/** The mass of each cell of another grid of the same picture. */
export function labelsOn(
  { grid: coarse, labels }: Masses,
  { width, height, across, down, mask }: ColourGrid,
): Int16Array {
  const fine = new Int16Array(width * height).fill(-1);
  for (let y = 0, c = 0; y < height; y++) {
    const row = Math.min(coarse.height - 1, Math.floor(((y + 0.5) / down) * coarse.down));
    for (let x = 0; x < width; x++, c++) {
      const column = Math.min(coarse.width - 1, Math.floor(((x + 0.5) / across) * coarse.across));
      if (mask[c]) fine[c] = labels[row * coarse.width + column];
    }
  }
  return fine;
}

/** The mean width of each mass in cells: twice its area for its outline. */
function widthsOf(labels: Int16Array, width: number, count: number): Float64Array {
  const area = new Float64Array(count);
  const sides = new Float64Array(count);
  labels.forEach((label, c) => {
    if (label < 0) return;
    area[label]++;
    for (const d of [c - 1, c + 1, c - width, c + width]) if (labels[d] !== label) sides[label]++;
  });
  return area.map((n, i) => (2 * n) / Math.max(1, sides[i]));
}

/** Joins narrow masses that are a lighter or darker band of a neighbour to it: a halo may be a mass of its own. */
function withoutBands(
  labels: Int16Array,
  { width }: ColourGrid,
  masses: readonly Mass[],
  widths: Float64Array,
): Int16Array {
  const isBand = Array.from(widths, (w) => w < MAX_BAND_WIDTH);
  const meetings = new Map<number, Map<number, number>>();
  labels.forEach((label, c) => {
    if (label < 0 || !isBand[label]) return;
    const met = meetings.get(label) ?? new Map<number, number>();
    for (const d of [c - 1, c + 1, c - width, c + width]) {
      const other = labels[d] ?? -1;
      if (other >= 0 && other !== label && !isBand[other])
        met.set(other, (met.get(other) ?? 0) + 1);
    }
    meetings.set(label, met);
  });
  const into = Int16Array.from(masses, (_, i) => i);
  for (const [band, met] of meetings) {
    const all = [...met.values()].reduce((sum, n) => sum + n, 0);
    let least = MAX_BAND_STEP;
    for (const [other, n] of met) {
      const step = oklabDistance(masses[band].colour, masses[other].colour);
      if (n < all / 4 || step >= least) continue;
      least = step;
      into[band] = other;
    }
  }
  return labels.map((label) => (label < 0 ? label : into[label]));
}

/** Gives the cells of masses that are as thin as a line to the nearest that is not, so that those meet in the line. */
function withoutLines(labels: Int16Array, { width }: ColourGrid, widths: Float64Array): Int16Array {
  const isLine = Array.from(widths, (w) => w < MAX_LINE_WIDTH);
  if (isLine.every(Boolean) || !isLine.some(Boolean)) return labels;
  const given = Int16Array.from(labels, (label) => (label >= 0 && isLine[label] ? -2 : label));
  const seeds: number[] = [];
  for (let c = 0; c < given.length; c++) if (given[c] >= 0) seeds.push(c);
  spreadWave(seeds, width, given.length, (c, from) => {
    if (given[c] !== -2) return false;
    given[c] = given[from];
    return true;
  });
  return given.map((label) => (label === -2 ? -1 : label));
}

/** A side that two cells of different masses share, with the two cells. */
type CellSide = Segment & { cells: [number, number] };

function bordersIn(labels: Int16Array, { width, height }: ColourGrid) {
  const borders = new Map<number, { masses: [number, number]; segments: CellSide[] }>();
  const meet = (c: number, d: number, segment: Segment) => {
    if (labels[c] === labels[d] || labels[c] < 0 || labels[d] < 0) return;
    const pair: [number, number] = [Math.min(labels[c], labels[d]), Math.max(labels[c], labels[d])];
    const key = pair[0] * 0x10000 + pair[1];
    const border = borders.get(key) ?? { masses: pair, segments: [] };
    border.segments.push({ ...segment, cells: [c, d] });
    borders.set(key, border);
  };
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      if (x + 1 < width) meet(c, c + 1, { x0: x + 1, y0: y, x1: x + 1, y1: y + 1 });
      if (y + 1 < height) meet(c, c + width, { x0: x, y0: y + 1, x1: x + 1, y1: y + 1 });
    }
  return borders;
}

/** For each stretch the mean values beside it: each cell counts to the stretch whose sides are nearest to it. */
function profilesOf(
  stretches: readonly { pair: [number, number]; segments: readonly CellSide[] }[],
  labels: Int16Array,
  { width, value }: ColourGrid,
): [Float32Array, Float32Array][] {
  const sides = stretches.flatMap(({ segments }, stretch) =>
    segments.map(({ x0, y0, x1, y1, cells }) => ({
      stretch,
      cells,
      x: (x0 + x1) / 2 - 0.5,
      y: (y0 + y1) / 2 - 0.5,
    })),
  );
  const nearest = new Int32Array(labels.length).fill(-1);
  const sums = stretches.map(() => [0, 1].map(() => new Float64Array(REACH * 2)));
  const seeds: number[] = [];
  const count = (c: number): boolean => {
    const { stretch, x, y } = sides[nearest[c]];
    const across = (c % width) - x;
    const down = Math.floor(c / width) - y;
    const distance = Math.floor(Math.sqrt(across * across + down * down));
    if (distance >= REACH) return false;
    const sum = sums[stretch][labels[c] === stretches[stretch].pair[0] ? 0 : 1];
    sum[distance] += value[c];
    sum[REACH + distance]++;
    return true;
  };
  sides.forEach(({ cells }, i) => {
    for (const c of cells)
      if (nearest[c] < 0) {
        nearest[c] = i;
        if (count(c)) seeds.push(c);
      }
  });
  spreadWave(seeds, width, labels.length, (c, from) => {
    if (nearest[c] >= 0 || labels[c] !== labels[from]) return false;
    nearest[c] = nearest[from];
    return count(c);
  });
  return sums.map((pair) => {
    const [one, other] = pair.map((sum) =>
      Float32Array.from({ length: REACH }, (_, d) => sum[d] / sum[REACH + d]),
    );
    return [one, other];
  });
}
