/** How a plan is divided for carrying it over to the canvas. */
export type TransferGrid =
  | { kind: 'none' }
  | { kind: 'thirds' }
  | { kind: 'squares'; /** Squares along the shorter side, 2 to 20. */ short: number };

export const MIN_SQUARES = 2;
export const MAX_SQUARES = 20;

export interface GridLines {
  /** Where lines stand, in fractions of the width and of the height. */
  vertical: number[];
  horizontal: number[];
  /** Letters along the top, figures down the left; the other coordinate is null. */
  labels: { text: string; x: number | null; y: number | null }[];
}

/**
 * The lines of a grid over a picture of `aspect` = width / height. Squares begin at the upper left;
 * what is left over at the right or the bottom is a part of a square.
 * Throws a RangeError for fewer than 2 squares or more than 20.
 */
export function gridLines(grid: TransferGrid, aspect: number): GridLines {
  if (grid.kind === 'none') return { vertical: [], horizontal: [], labels: [] };
  if (grid.kind === 'thirds')
    return { vertical: [1 / 3, 2 / 3], horizontal: [1 / 3, 2 / 3], labels: [] };
  const { short } = grid;
  if (!Number.isInteger(short) || short < MIN_SQUARES || short > MAX_SQUARES)
    throw new RangeError(`${short} squares; ${MIN_SQUARES} to ${MAX_SQUARES} can be drawn`);
  const across = aspect >= 1 ? short * aspect : short;
  const down = aspect >= 1 ? short : short / aspect;
  return {
    vertical: inside(across),
    horizontal: inside(down),
    labels: [
      ...middles(across).map((x, i) => ({ text: letters(i), x, y: null })),
      ...middles(down).map((y, i) => ({ text: String(i + 1), x: null, y })),
    ],
  };
}

/** Where the lines between `count` squares stand; no line so near the end that it is the border. */
function inside(count: number): number[] {
  return Array.from({ length: Math.ceil(count - 1e-6) - 1 }, (_, i) => (i + 1) / count);
}

function middles(count: number): number[] {
  return Array.from({ length: Math.ceil(count - 1e-6) }, (_, i) => {
    const end = Math.min(count, i + 1);
    return (i + end) / 2 / count;
  });
}

/** A, B … Z, AA, AB … */
function letters(i: number): string {
  const last = String.fromCharCode(65 + (i % 26));
  return i < 26 ? last : letters(Math.floor(i / 26) - 1) + last;
}
