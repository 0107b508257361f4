import type { Oklab } from '../colour/oklab';
import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { polesOfInaccessibility } from '../raster/pole-of-inaccessibility';
import { connectedComponents } from '../raster/connected-components';

/** A small part that is far stronger than the picture around it. */
export interface AccentPlace extends Place {
  /** Of the picture, 0–1. */
  share: number;
  colour: Oklab;
  /** Mean OKLCH chroma. */
  chroma: number;
}

/** How far above the picture's mean chroma an accent stands. */
const ABOVE = 0.06;
/** Larger parts are no accents. */
const MAX_SHARE = 0.04;
const MAX_ACCENTS = 5;

/** The accents of a picture, the strongest first. */
export function readAccents(grid: ColourGrid): AccentPlace[] {
  const { width, height, oklab, mask } = grid;
  const chroma = Float32Array.from(mask, (_, c) => Math.hypot(oklab[c * 3 + 1], oklab[c * 3 + 2]));
  let cells = 0;
  let sum = 0;
  mask.forEach((one, c) => {
    cells += one;
    sum += one * chroma[c];
  });
  const limit = sum / Math.max(1, cells) + ABOVE;
  const strong = Uint8Array.from(chroma, (one, c) => (mask[c] && one >= limit ? 1 : 0));
  const found = connectedComponents(strong, width, height, 0);
  const deepest = polesOfInaccessibility(Int16Array.from(found.labels), width, found.size.length);
  const sums = found.size.map(() => [0, 0, 0, 0]);
  found.labels.forEach((piece, c) => {
    if (piece < 0) return;
    for (let k = 0; k < 3; k++) sums[piece][k] += oklab[c * 3 + k];
    sums[piece][3] += chroma[c];
  });
  return found.size
    .map((size, piece): AccentPlace => {
      const [L, a, b, C] = sums[piece].map((one) => one / size);
      return {
        ...placeOfCell(grid, deepest[piece]),
        share: size / cells,
        colour: { L, a, b },
        chroma: C,
      };
    })
    .filter(({ share }) => share <= MAX_SHARE)
    .sort((one, other) => other.chroma - one.chroma)
    .slice(0, MAX_ACCENTS);
}
