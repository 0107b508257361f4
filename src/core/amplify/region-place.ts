import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { polesOfInaccessibility } from '../raster/pole-of-inaccessibility';
import { placeWords } from '../picture/place-words';

/** A band is at least this long and at most this wide, in shares of the picture. */
const LONG = 0.62;
const WIDE = 0.45;
/** What fills this much of the picture's breadth and height is all over it. */
const ALL_OVER = 0.85;

/** Where a region lies: the place deepest inside it, and words such as "upper left" or "along the lower edge". */
export function regionPlace(
  grid: ColourGrid,
  cells: readonly number[],
): { point: Place; words: string } {
  const of = new Int16Array(grid.mask.length).fill(-1);
  for (const c of cells) of[c] = 0;
  const point = placeOfCell(grid, polesOfInaccessibility(of, grid.width, 1)[0]);
  return { point, words: bandWords(grid, cells) ?? placeWords(middleOf(grid, cells, point)) };
}

function bandWords({ width, across, down }: ColourGrid, cells: readonly number[]): string | null {
  const spread = (along: (c: number) => number) => {
    const places = Float64Array.from(cells, along).sort();
    return [places[Math.floor(places.length * 0.03)], places[Math.floor(places.length * 0.97)]];
  };
  const [left, right] = spread((c) => ((c % width) + 0.5) / across);
  const [top, bottom] = spread((c) => (Math.floor(c / width) + 0.5) / down);
  const wide = right - left;
  const high = bottom - top;
  if (wide > ALL_OVER && high > ALL_OVER) return 'all over';
  if (wide > LONG && high < WIDE) return lies(top, bottom, ACROSS);
  if (high > LONG && wide < WIDE) return lies(left, right, DOWN);
  return null;
}

/** Words for a band: at the first edge, in the first third, in the middle, in the last third, at the last edge. */
const ACROSS = [
  'along the upper edge',
  'across the upper part',
  'across the middle',
  'across the lower part',
  'along the lower edge',
] as const;
const DOWN = [
  'along the left edge',
  'down the left side',
  'down the middle',
  'down the right side',
  'along the right edge',
] as const;
/** As near to an edge as this is at it: a share of the picture. */
const AT_EDGE = 0.06;

function lies(from: number, to: number, words: typeof ACROSS | typeof DOWN): string {
  const middle = (from + to) / 2;
  if (from < AT_EDGE && middle < 1 / 3) return words[0];
  if (to > 1 - AT_EDGE && middle > 2 / 3) return words[4];
  return words[middle < 1 / 3 ? 1 : middle > 2 / 3 ? 3 : 2];
}

/** The middle of a region if that lies in it, else the place deepest inside. */
function middleOf(
  { width, across, down }: ColourGrid,
  cells: readonly number[],
  otherwise: Place,
): Place {
  let x = 0;
  let y = 0;
  for (const c of cells) {
    x += (c % width) + 0.5;
    y += Math.floor(c / width) + 0.5;
  }
  const middle = { x: x / cells.length, y: y / cells.length };
  const cell = Math.floor(middle.y) * width + Math.floor(middle.x);
  return cells.includes(cell) ? { x: middle.x / across, y: middle.y / down } : otherwise;
}
