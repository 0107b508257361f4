import type { Paper } from '@/contracts/print';

/** PDF measures in points, of which an inch has 72. */
export const MM = 72 / 25.4;

export interface Sheet {
  width: number;
  height: number;
  margin: number;
  /** How many swatches stand side by side. */
  columns: number;
  /** The true size of a chip, and of the type, in points. */
  chip: { width: number; height: number };
  type: { title: number; text: number; small: number };
  staveHeight: number;
  /** Ruled lines under each swatch for its recipe. */
  recipeLines: number;
  noteLines: number;
}

/** What fits on the two large papers. */
const LARGE: Omit<Sheet, 'width' | 'height'> = {
  margin: 15 * MM,
  columns: 4,
  chip: { width: 36 * MM, height: 18 * MM },
  type: { title: 24, text: 10, small: 8.5 },
  staveHeight: 42 * MM,
  recipeLines: 2,
  noteLines: 2,
};

/** What fits on each paper; chips have whole millimetres, so that they can be held against paint. */
export const SHEETS: Record<Paper, Sheet> = {
  a4: { width: 210 * MM, height: 297 * MM, ...LARGE },
  letter: { width: 8.5 * 72, height: 11 * 72, ...LARGE },
  a5: {
    width: 148 * MM,
    height: 210 * MM,
    margin: 11 * MM,
    columns: 4,
    chip: { width: 26 * MM, height: 13 * MM },
    type: { title: 17, text: 8.5, small: 7 },
    staveHeight: 30 * MM,
    recipeLines: 1,
    noteLines: 1,
  },
  '6x4': {
    width: 6 * 72,
    height: 4 * 72,
    margin: 6 * MM,
    columns: 5,
    chip: { width: 18 * MM, height: 9 * MM },
    type: { title: 12, text: 6.8, small: 5.8 },
    staveHeight: 17 * MM,
    recipeLines: 1,
    noteLines: 0,
  },
};
