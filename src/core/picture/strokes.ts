import { toFramed, type Framing, type Place } from './framing';

/** A manual correction of a map: along a line with a brush, or all that a loop encloses. */
export interface Stroke {
  tool: 'brush' | 'lasso';
  /** Half the brush's width, a share of the picture's diagonal; not used by a lasso. */
  radius: number;
  /** In fractions of the picture; places outside it are as good as any. */
  points: readonly Place[];
}

interface Size {
  width: number;
  height: number;
}

/** Strokes on an original (fractions of it) as strokes on the framed picture that `framed` is the size of. */
export function framedStrokes<T extends Stroke>(
  strokes: readonly T[],
  framing: Framing,
  original: Size,
  framed: Size,
): T[] {
  const aspect = original.width / original.height;
  const nearer =
    Math.hypot(original.width, original.height) / Math.hypot(framed.width, framed.height);
  return strokes.map((stroke) => ({
    ...stroke,
    radius: stroke.radius * nearer,
    points: stroke.points.map((point) => toFramed(point, framing, aspect)),
  }));
}

/**
 * Calls `mark` with the first and last pixel (inclusive) of every run of a row whose pixel centres a
 * stroke covers, some of them perhaps twice. A brush covers what lies within its radius of its line,
 * the pixel under a point at least; a lasso what its closed loop encloses by the even-odd rule.
 */
export function layStroke(
  { tool, radius, points }: Stroke,
  width: number,
  height: number,
  mark: (row: number, first: number, last: number) => void,
): void {
  const at = points.map(({ x, y }) => ({ x: x * width, y: y * height }));
  if (tool === 'lasso') return fillLoop(at, width, height, mark);
  const reach = Math.max(0.75, radius * Math.hypot(width, height));
  at.forEach((end, i) => sweep(at[Math.max(0, i - 1)], end, reach, width, height, mark));
}

type Mark = (row: number, first: number, last: number) => void;

/** All pixels within `reach` of the line from `a` to `b`: for each row the span between the outermost. */
function sweep(a: Place, b: Place, reach: number, width: number, height: number, mark: Mark): void {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const first = Math.max(0, Math.ceil(Math.min(a.y, b.y) - reach - 0.5));
  const last = Math.min(height - 1, Math.floor(Math.max(a.y, b.y) + reach - 0.5));
  for (let row = first; row <= last; row++) {
    const y = row + 0.5;
    let from = Infinity;
    let to = -Infinity;
    const include = (x0: number, x1: number) => {
      from = Math.min(from, x0);
      to = Math.max(to, x1);
    };
    for (const end of [a, b]) {
      const half = reach * reach - (y - end.y) ** 2;
      if (half >= 0) include(end.x - Math.sqrt(half), end.x + Math.sqrt(half));
    }
    if (length > 0) {
      // The two sides of the band; each is crossed by the row at most once.
      const nx = (-(b.y - a.y) / length) * reach;
      const ny = ((b.x - a.x) / length) * reach;
      for (const side of [1, -1]) {
        const y0 = a.y + side * ny;
        const y1 = b.y + side * ny;
        if (y0 === y1 || (y - y0) * (y - y1) > 0) continue;
        const x = a.x + side * nx + ((b.x - a.x) * (y - y0)) / (y1 - y0);
        include(x, x);
      }
    }
    span(row, from, to, width, mark);
  }
}

function fillLoop(at: readonly Place[], width: number, height: number, mark: Mark): void {
  const ys = at.map(({ y }) => y);
  const first = Math.max(0, Math.ceil(Math.min(...ys) - 0.5));
  const last = Math.min(height - 1, Math.floor(Math.max(...ys) - 0.5));
  for (let row = first; row <= last; row++) {
    const y = row + 0.5;
    const crossings: number[] = [];
    at.forEach((a, i) => {
      const b = at[(i + 1) % at.length];
      if (a.y <= y !== b.y <= y) crossings.push(a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y));
    });
    crossings.sort((one, other) => one - other);
    for (let k = 0; k + 1 < crossings.length; k += 2)
      span(row, crossings[k], crossings[k + 1], width, mark);
  }
}

function span(row: number, from: number, to: number, width: number, mark: Mark): void {
  const first = Math.max(0, Math.ceil(from - 0.5));
  const last = Math.min(width - 1, Math.floor(to - 0.5));
  if (first <= last) mark(row, first, last);
}
