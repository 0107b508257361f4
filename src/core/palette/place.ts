import { OPAQUE, type Picture } from '../picture/picture';
import type { Place } from '../picture/framing';
import { CELL_SPACE, cellOf, type Cells } from './cells';

/** The side of the squares that are compared, as a share of the longer side. */
const SQUARES = 40;

/**
 * Where in the picture each swatch is at home: the middle of the square that holds most pixels of
 * it, in fractions of the picture; null for a swatch that owns no pixel.
 */
export function homes(
  { width, height, data }: Picture,
  cells: Cells,
  owner: Uint8Array,
  swatches: number,
): (Place | null)[] {
  const ownerOfCell = new Uint8Array(CELL_SPACE);
  cells.id.forEach((id, k) => (ownerOfCell[id] = owner[k]));
  const side = Math.max(1, Math.ceil(Math.max(width, height) / SQUARES));
  const across = Math.ceil(width / side);
  const down = Math.ceil(height / side);
  const counts = new Uint32Array(across * down * swatches);
  for (let y = 0; y < height; y++) {
    const row = Math.floor(y / side) * across;
    for (let x = 0; x < width; x++) {
      const i = (y * width + x) * 4;
      if (data[i + 3] < OPAQUE) continue;
      const swatch = ownerOfCell[cellOf(data[i], data[i + 1], data[i + 2])];
      counts[(row + ((x / side) | 0)) * swatches + swatch]++;
    }
  }
  return Array.from({ length: swatches }, (_, swatch) => {
    let most = 0;
    let best = -1;
    for (let square = 0; square < across * down; square++) {
      if (counts[square * swatches + swatch] > most) {
        most = counts[square * swatches + swatch];
        best = square;
      }
    }
    if (best < 0) return null;
    const left = (best % across) * side;
    const top = Math.floor(best / across) * side;
    return {
      x: (left + Math.min(side, width - left) / 2) / width,
      y: (top + Math.min(side, height - top) / 2) / height,
    };
  });
}
