import type { Oklab } from '../colour/oklab';
import { OPAQUE, type Picture } from '../picture/picture';
import { CELL_SPACE, cellOf, colourCells } from './cells';
import { assign, centresOf } from './centres';
import { asTones } from './extract';

/** Marks a transparent pixel in a map of swatches. */
export const NO_SWATCH = 255;

/** The number of the nearest colour for each pixel, `NO_SWATCH` where it is transparent. */
export function swatchMap(picture: Picture, colours: readonly Oklab[]): Uint8Array {
  const cells = colourCells(picture);
  const { owner } = assign(asTones(cells), centresOf(colours, colours.length));
  const ownerOfCell = new Uint8Array(CELL_SPACE);
  cells.id.forEach((id, k) => (ownerOfCell[id] = owner[k]));
  const { data } = picture;
  const map = new Uint8Array(data.length / 4);
  for (let i = 0, p = 0; i < data.length; i += 4, p++) {
    map[p] =
      data[i + 3] < OPAQUE ? NO_SWATCH : ownerOfCell[cellOf(data[i], data[i + 1], data[i + 2])];
  }
  return map;
}

/** The share of the seen pixels that each of `count` swatches owns. */
export function mapShares(map: Uint8Array, count: number): number[] {
  const counts = new Array<number>(count).fill(0);
  let seen = 0;
  for (let p = 0; p < map.length; p++) {
    if (map[p] === NO_SWATCH) continue;
    counts[map[p]]++;
    seen++;
  }
  return counts.map((n) => (seen ? n / seen : 0));
}
