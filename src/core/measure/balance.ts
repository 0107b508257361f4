import { clampShare } from '../share';
import type { ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';

/** Where a picture's weight lies. */
export interface Balance {
  /** The centre of weight, in fractions of the picture. */
  centre: Place;
  /** Share of the weight left of the middle, and above it, 0–1. */
  left: number;
  upper: number;
}

/** The chroma that weighs as much as going from white to black. */
const FULL_CHROMA = 0.2;

/**
 * Visual weight: a place is the heavier the darker it is and the stronger its colour; black weighs 1,
 * a neutral white nothing, and chroma adds up to 1. A picture without any weight balances in its middle.
 */
export function readBalance(grid: ColourGrid): Balance {
  const { width, height, across, down, oklab, value, mask } = grid;
  let weight = 0;
  let left = 0;
  let upper = 0;
  let sumX = 0;
  let sumY = 0;
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      if (!mask[c]) continue;
      const chroma = Math.hypot(oklab[c * 3 + 1], oklab[c * 3 + 2]);
      // Cells that reach beyond the picture count for the part that is inside.
      const inside = Math.min(1, across - x) * Math.min(1, down - y);
      const w = (1 - value[c] / 10 + Math.min(1, chroma / FULL_CHROMA)) * inside;
      const px = (x + Math.min(1, across - x) / 2) / across;
      const py = (y + Math.min(1, down - y) / 2) / down;
      weight += w;
      sumX += w * px;
      sumY += w * py;
      left += w * leftOf(x, across);
      upper += w * leftOf(y, down);
    }
  if (weight < 1e-9) return { centre: { x: 0.5, y: 0.5 }, left: 0.5, upper: 0.5 };
  return {
    centre: { x: clampShare(sumX / weight), y: clampShare(sumY / weight) },
    left: clampShare(left / weight),
    upper: clampShare(upper / weight),
  };
}

/** The part of a cell that lies before the middle. */
function leftOf(cell: number, cells: number): number {
  const end = Math.min(cell + 1, cells);
  return Math.min(1, Math.max(0, (cells / 2 - cell) / (end - cell)));
}
