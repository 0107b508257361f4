import { temperature } from '../colour/temperature';
import type { Masses } from '../measure/masses';
import type { ColourGrid } from '../picture/colour-grid';

/** How a quantity changes across a mass, as a plane laid through it. */
export interface Gradient {
  /** The direction in which it rises: degrees, 0 to the right, 90 upward. */
  towards: number;
  /** What it is at either end of the mass in that direction, by the plane: the lower end first. */
  from: number;
  to: number;
  /** The part of its variance within the mass that the plane explains, 0–1. */
  fit: number;
}

/** What may change across a mass: Munsell value, temperature, OKLCH chroma. */
export const GRADED = ['value', 'temperature', 'chroma'] as const;
export type Graded = (typeof GRADED)[number];

/** For each quantity the gradient across a mass; null where it changes in no one direction. */
export type MassGradients = Record<Graded, Gradient | null>;

/** The least rise from end to end that is a gradient. */
const MIN_RISE: Record<Graded, number> = { value: 0.5, temperature: 0.12, chroma: 0.012 };
/** The least part of the variance that a plane has to explain. */
const MIN_FIT = 0.2;
/** With fewer cells away from its rim, a mass is not read. */
const MIN_CELLS = 40;
/** Along one side of a box, its length is this many standard deviations. */
const LENGTH_OF_SD = Math.sqrt(12);
/** A mass this many times as long as wide tells of no direction across it. */
const MAX_ELONGATION = 12;

/** Sums over the cells of a mass for least squares: 1, x, y, xx, xy, yy, then q, qx, qy, qq of each quantity. */
const PLANE_SUMS = 6;
const QUANTITY_SUMS = 4;

/**
 * The gradients across the first `count` masses, by least squares over their cells. A cell beside another
 * mass is left out: the blur of an edge is no gradient. `grid` has the cells of `masses.grid`.
 */
export function gradientsOf(masses: Masses, grid: ColourGrid, count: number): MassGradients[] {
  const { labels } = masses;
  const stride = PLANE_SUMS + GRADED.length * QUANTITY_SUMS;
  const sums = new Float64Array(count * stride);
  const quantities = new Float64Array(GRADED.length);
  for (let c = 0; c < labels.length; c++) {
    const mass = labels[c];
    if (mass < 0 || mass >= count || isRim(labels, grid.width, c)) continue;
    const x = c % grid.width;
    const y = -Math.floor(c / grid.width);
    const a = grid.oklab[c * 3 + 1];
    const b = grid.oklab[c * 3 + 2];
    quantities[0] = grid.value[c];
    quantities[1] = temperature({ a, b });
    quantities[2] = Math.sqrt(a * a + b * b);
    let at = mass * stride;
    for (const term of [1, x, y, x * x, x * y, y * y]) sums[at++] += term;
    for (const q of quantities) for (const term of [q, q * x, q * y, q * q]) sums[at++] += term;
  }
  return Array.from({ length: count }, (_, mass) => {
    const own = sums.subarray(mass * stride, (mass + 1) * stride);
    const gradients = GRADED.map((kind, k) =>
      planeGradient(own, PLANE_SUMS + k * QUANTITY_SUMS, MIN_RISE[kind]),
    );
    return { value: gradients[0], temperature: gradients[1], chroma: gradients[2] };
  });
}

/** Whether a cell touches another label, or the end of the cells. */
export function isRim(labels: Int16Array, width: number, c: number): boolean {
  const x = c % width;
  const own = labels[c];
  return (
    x === 0 ||
    x === width - 1 ||
    labels[c - 1] !== own ||
    labels[c + 1] !== own ||
    labels[c - width] !== own ||
    labels[c + width] !== own
  );
}

function planeGradient(sums: Float64Array, at: number, minRise: number): Gradient | null {
  const [n, sx, sy, sxx, sxy, syy] = sums;
  if (n < MIN_CELLS) return null;
  const [xx, xy, yy] = [
    sxx / n - (sx / n) ** 2,
    sxy / n - (sx * sy) / n ** 2,
    syy / n - (sy / n) ** 2,
  ];
  const mean = sums[at] / n;
  const qx = sums[at + 1] / n - (mean * sx) / n;
  const qy = sums[at + 2] / n - (mean * sy) / n;
  const variance = sums[at + 3] / n - mean ** 2;
  const determinant = xx * yy - xy * xy;
  const largest = (xx + yy) / 2 + Math.hypot((xx - yy) / 2, xy);
  if (variance <= 0 || determinant < (largest / MAX_ELONGATION) ** 2) return null;
  const gx = (qx * yy - qy * xy) / determinant;
  const gy = (qy * xx - qx * xy) / determinant;
  const explained = gx * gx * xx + 2 * gx * gy * xy + gy * gy * yy;
  const steepness = Math.hypot(gx, gy);
  if (steepness === 0) return null;
  const [ux, uy] = [gx / steepness, gy / steepness];
  const along = Math.sqrt(Math.max(0, ux * ux * xx + 2 * ux * uy * xy + uy * uy * yy));
  const rise = steepness * along * LENGTH_OF_SD;
  const fit = Math.min(1, Math.max(0, explained / variance));
  if (rise < minRise || fit < MIN_FIT) return null;
  return {
    towards: ((Math.atan2(gy, gx) * 180) / Math.PI + 360) % 360,
    from: mean - rise / 2,
    to: mean + rise / 2,
    fit,
  };
}
