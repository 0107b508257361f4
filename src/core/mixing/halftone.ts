/** How a plate is screened: lines of dots to an inch of the print, and their angle in degrees. */
export interface Screen {
  ruling: number;
  angle: number;
}

/** Angles that keep the dots of up to five inks from beating against one another, the strongest ink first. */
export const SCREEN_ANGLES: readonly number[] = [45, 75, 15, 0, 60];

/** Pixels along the side of a cell. */
const MIN_CELL = 6;
/** Samples of a dot's height along each side of its cell. */
const CELL = 64;

/** The rank (0–1) of each place of a cell: dots grow from its middle, holes close at its corners. */
const RANKS = ranksOfCell();

function ranksOfCell(): Float64Array {
  const heights = Float64Array.from({ length: CELL * CELL }, (_, i) => {
    const u = ((i % CELL) + 0.5) / CELL;
    const v = (Math.floor(i / CELL) + 0.5) / CELL;
    return Math.cos(2 * Math.PI * u) + Math.cos(2 * Math.PI * v);
  });
  const order = Array.from(heights.keys()).sort((one, other) => heights[one] - heights[other]);
  const ranks = new Float64Array(CELL * CELL);
  order.forEach((cell, rank) => (ranks[cell] = (rank + 0.5) / order.length));
  return ranks;
}

/**
 * A plate of tones as dots, 255 solid and 0 none, at `dpi` dots of the device to an inch: so that over a cell as much is
 * solid as the tone says. The plate is `width` wide and is enlarged to `out.width` by `out.height` by bilinear
 * interpolation. Throws a RangeError for a ruling
 * that leaves fewer than six pixels to the side of a cell: tones would step.
 */
export function halftoned(
  plate: Uint8Array,
  { width, height }: { width: number; height: number },
  out: { width: number; height: number; dpi: number },
  { ruling, angle }: Screen,
): Uint8Array {
  const cell = out.dpi / ruling;
  if (!(cell >= MIN_CELL))
    throw new RangeError(`A ruling of ${ruling} is too fine for ${out.dpi} dpi.`);
  const turn = (angle * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn) / cell, Math.sin(turn) / cell];
  const dots = new Uint8Array(out.width * out.height);
  for (let y = 0, at = 0; y < out.height; y++) {
    const fromY = bounded(((y + 0.5) * height) / out.height - 0.5, height);
    for (let x = 0; x < out.width; x++, at++) {
      const fromX = bounded(((x + 0.5) * width) / out.width - 0.5, width);
      const tone = toneAt(plate, width, height, fromX, fromY) / 255;
      const u = x * cos + y * sin;
      const v = y * cos - x * sin;
      const column = Math.floor((u - Math.floor(u)) * CELL);
      const row = Math.floor((v - Math.floor(v)) * CELL);
      dots[at] = RANKS[row * CELL + column] < tone ? 255 : 0;
    }
  }
  return dots;
}

const bounded = (place: number, size: number) => Math.min(size - 1, Math.max(0, place));

function toneAt(plate: Uint8Array, width: number, height: number, x: number, y: number): number {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  const [right, below] = [Math.min(width - 1, left + 1), Math.min(height - 1, top + 1)];
  const [partX, partY] = [x - left, y - top];
  const over = (row: number) =>
    plate[row * width + left] * (1 - partX) + plate[row * width + right] * partX;
  return over(top) * (1 - partY) + over(below) * partY;
}
