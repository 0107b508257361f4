import simplify from 'simplify-js';
import { MAX_POINTS } from '@/contracts/strokes';
import type { Point } from './view';

/** How far a kept line may lie from the drawn one, in fractions of the picture. */
const LOOSE = 0.0012;

/** A drawn line without the points that say nothing, and with fewer where there are still too many. */
export function simplifyPath(points: Point[]): Point[] {
  for (let loose = LOOSE; ; loose *= 2) {
    const simple = simplify(points, loose, true);
    if (simple.length <= MAX_POINTS) return simple;
  }
}

/** A place to the accuracy that is kept of it. */
export function roundPlace({ x, y }: Point): Point {
  const rounded = (n: number) => Math.round(n * 10_000) / 10_000;
  return { x: rounded(x), y: rounded(y) };
}
