import { solved } from '../mixing/linear-system';

/** A projective map of the plane, row by row; its last number is 1. */
export type Homography = readonly number[];

export interface Correspondence {
  from: readonly [number, number];
  to: readonly [number, number];
}

export function mapped([a, b, c, d, e, f, g, h, i]: Homography, x: number, y: number) {
  const w = g * x + h * y + i;
  return [(a * x + b * y + c) / w, (d * x + e * y + f) / w] as const;
}

/**
 * The projective map that fits correspondences best, by the direct linear transform with the last entry held at 1: least
 * squares of its linear equations. Null for fewer than four, or where they lie on a line.
 * Source: R. Hartley, A. Zisserman, "Multiple View Geometry in Computer Vision", 2nd edition, 2004, section 4.1.
 */
export function fittedHomography(some: readonly Correspondence[]): Homography | null {
  if (some.length < 4) return null;
  const rows = Array.from({ length: 8 }, () => new Float64Array(9));
  const add = (equation: readonly number[], right: number) => {
    for (let i = 0; i < 8; i++) {
      for (let j = 0; j < 8; j++) rows[i][j] += equation[i] * equation[j];
      rows[i][8] += equation[i] * right;
    }
  };
  for (const { from, to } of some) {
    const [[x, y], [u, v]] = [from, to];
    add([x, y, 1, 0, 0, 0, -u * x, -u * y], u);
    add([0, 0, 0, x, y, 1, -v * x, -v * y], v);
  }
  const found = solved(rows);
  return found.every(Number.isFinite) ? [...found, 1] : null;
}
