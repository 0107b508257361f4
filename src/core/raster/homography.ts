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

/** The map back. */
export function inverted([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  return normalized([
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ]);
}

/** First `inner`, then `outer`. */
export function composed(outer: Homography, inner: Homography): Homography {
  const out = new Array<number>(9).fill(0);
  for (let row = 0; row < 3; row++)
    for (let column = 0; column < 3; column++)
      for (let k = 0; k < 3; k++)
        out[row * 3 + column] += outer[row * 3 + k] * inner[k * 3 + column];
  return normalized(out);
}

const normalized = (map: readonly number[]): Homography => map.map((entry) => entry / map[8]);

/** Scales both axes before a map and after it. */
export const rescaled = (
  map: Homography,
  before: readonly [number, number],
  after: readonly [number, number],
): Homography =>
  composed(
    [after[0], 0, 0, 0, after[1], 0, 0, 0, 1],
    composed(map, [before[0], 0, 0, 0, before[1], 0, 0, 0, 1]),
  );

/** Upper left, upper right, lower right, lower left. */
export type Quad = readonly [Point, Point, Point, Point];
type Point = readonly [x: number, y: number];

export const UNIT_SQUARE: Quad = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
];

/** The map that brings the unit square to a quadrilateral; null where it isn't convex, or three of its corners lie on a line. */
export function squareToQuad(quad: Quad): Homography | null {
  const turns = quad.map(([x, y], i) => {
    const [[nx, ny], [mx, my]] = [quad[(i + 1) % 4], quad[(i + 2) % 4]];
    return (nx - x) * (my - ny) - (ny - y) * (mx - nx);
  });
  if (!turns.every((turn) => turn > 1e-9) && !turns.every((turn) => turn < -1e-9)) return null;
  return fittedHomography(UNIT_SQUARE.map((from, i) => ({ from, to: quad[i] })));
}

/** Where a map brings the unit square's corners. */
export const quadOf = (map: Homography): Quad =>
  UNIT_SQUARE.map(([x, y]) => mapped(map, x, y)) as unknown as Quad;

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
