import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { valueOfEdge } from '../picture/value-map';
import { connectedComponents } from '../raster/connected-components';
import { carriedBy, readZoneFits } from './carried';
import type { Masses } from './masses';
import { naturalEdges } from './thresholds';
import { zonesOf } from './zones';

/** A light above the large ones, or a dark below them. */
export interface SmallEnd extends Place {
  /** The value that it reaches, Munsell. */
  value: number;
  /** Of the picture, 0–1: what is nearer to that value than to the large ones'. */
  share: number;
}

/** Where the lights stop, or the darks; Munsell values. */
export interface ValueEnd {
  /** The mean of the largest zone on that side. */
  usual: number;
  /** The 95th percentile (the 5th for darks) of what lies in masses of 1 % and more; never short of the usual. */
  large: number;
  /** What goes beyond, the weightiest first. */
  small: SmallEnd[];
}

export interface ValueEnds {
  lights: ValueEnd;
  darks: ValueEnd;
}

const LARGE_MASS = 0.01;
const QUANTILE = 0.95;
/** So far beyond the large ones, in Munsell steps, a small one has to go. */
const BEYOND = 1;
/** Cells that a small one takes at least: less is a glint, or noise. */
const MIN_CELLS = 3;
const MAX_SMALL = 3;

/**
 * Where lights and darks stop, in three figures each: of a room whose lamp is brilliant the lights stop low, but for
 * the lamp.
 *
 * @param counts the histogram of the squinted picture's values
 * @param masses of the squinted picture
 * @param grid of the picture as it is, where small lights keep their strength
 */
export function readValueEnds(
  counts: ArrayLike<number>,
  masses: Masses,
  grid: ColourGrid,
): ValueEnds {
  const zones = zonesOf(counts, naturalEdges(counts, carriedBy(readZoneFits(counts)).values));
  const threshold = valueOfEdge(naturalEdges(counts, 2)[0]);
  const usual = (isOnSide: (mean: number) => boolean) => {
    const side = zones.filter(({ mean, share }) => share > 0 && isOnSide(mean));
    // A picture of one value has it for both.
    const among = side.length > 0 ? side : zones.filter(({ share }) => share > 0);
    return among.reduce((most, zone) => (zone.share > most.share ? zone : most)).mean;
  };
  const end = (usual: number, way: 1 | -1): ValueEnd => {
    const large = way * Math.max(way * usual, way * (largeEnd(masses, way) ?? usual));
    return { usual, large, small: smallEnds(grid, large, way) };
  };
  return {
    lights: end(
      usual((mean) => mean >= threshold),
      1,
    ),
    darks: end(
      usual((mean) => mean < threshold),
      -1,
    ),
  };
}

/** `way` is 1 for lights, −1 for darks. */
function largeEnd({ grid, labels, masses }: Masses, way: 1 | -1): number | undefined {
  const within = (least: number) =>
    grid.value.filter((_, c) => labels[c] >= 0 && masses[labels[c]].share >= least);
  const large = within(LARGE_MASS);
  const values = (large.length > 0 ? large : within(0)).sort();
  // Of what is thinner than a cell there is no mass at all.
  const last = Math.ceil(QUANTILE * values.length) - 1;
  return values[way > 0 ? last : values.length - 1 - last];
}

function smallEnds(grid: ColourGrid, large: number, way: 1 | -1): SmallEnd[] {
  const { width, height, value, mask } = grid;
  const cells = mask.reduce((sum, here) => sum + (here > 0 ? 1 : 0), 0);
  const beyond = Uint8Array.from(mask, (here, c) =>
    here > 0 && way * (value[c] - large) >= BEYOND ? 1 : 0,
  );
  const { labels, size } = connectedComponents(beyond, width, height, 0);
  const reached = size.map(() => large);
  labels.forEach((label, c) => {
    if (label >= 0 && way * (value[c] - reached[label]) > 0) reached[label] = value[c];
  });
  const cores = size.map((): number[] => []);
  labels.forEach((label, c) => {
    if (label >= 0 && way * (value[c] - (large + reached[label]) / 2) >= 0) cores[label].push(c);
  });
  const weight = ({ value: reach, share }: SmallEnd) => share * Math.abs(reach - large);
  return size
    .flatMap((count, label): SmallEnd[] => {
      if (count < MIN_CELLS) return [];
      const core = cores[label];
      const place = placeOfCell(grid, middleOf(core, width));
      return [{ ...place, value: reached[label], share: core.length / cells }];
    })
    .sort((one, other) => weight(other) - weight(one))
    .slice(0, MAX_SMALL);
}

/** Of some cells of a grid the one nearest to their mean place. */
function middleOf(cells: readonly number[], width: number): number {
  const mean = (of: (cell: number) => number) =>
    cells.reduce((sum, cell) => sum + of(cell), 0) / cells.length;
  const x = mean((cell) => cell % width);
  const y = mean((cell) => Math.floor(cell / width));
  const away = (cell: number) => Math.hypot((cell % width) - x, Math.floor(cell / width) - y);
  return cells.reduce((nearest, cell) => (away(cell) < away(nearest) ? cell : nearest));
}
