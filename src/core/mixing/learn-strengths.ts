import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab, type Lab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { solved } from './linear-system';
import { mixLab } from './mix-lab';
import type { Optics } from './pigment';

/** A mixture that was made: parts of tubes, by their places in a list, and what it looked like. */
export interface MadeMixture {
  parts: readonly { tube: number; parts: number }[];
  result: Oklab;
}

/** How far strengths of one name differ between makers: the standard deviation of their logarithm. */
const PRIOR = 0.4;
/** How far a photograph or an eye is off: CIEDE2000. */
const NOISE = 1.5;
const ROUNDS = 12;
const STEP = 0.02;
/** Strength changes by e to this in one round at most. */
const MAX_MOVE = 0.5;

/**
 * How many times as strong as thought each tube is, from mixtures that were made: least squares over all of them,
 * regularised toward 1 by how far makers differ. Tubes that were in none stay as they are.
 */
export function learnedStrengths(tubes: readonly Optics[], made: readonly MadeMixture[]): number[] {
  const used = [...new Set(made.flatMap(({ parts }) => parts.map(({ tube }) => tube)))];
  const logs = new Float64Array(tubes.length);
  if (used.length === 0) return Array.from(logs, Math.exp);
  const results = made.map(({ result }) => labFromOklab(result));
  const residuals = (at: Float64Array) =>
    Float64Array.from(made.flatMap((mixture, k) => offBy(tubes, mixture, results[k], at)));
  for (let round = 0; round < ROUNDS; round++) {
    const off = residuals(logs);
    const slopes = used.map((tube) => {
      const moved = logs.slice();
      moved[tube] += STEP;
      const ahead = residuals(moved);
      return ahead.map((one, i) => (one - off[i]) / STEP);
    });
    const rows = used.map((tube, i) => [
      ...used.map((_, j) => dot(slopes[i], slopes[j]) + (i === j ? 1 / PRIOR ** 2 : 0)),
      -dot(slopes[i], off) - logs[tube] / PRIOR ** 2,
    ]);
    const move = solved(rows);
    let largest = 0;
    used.forEach((tube, i) => {
      const by = Math.max(-MAX_MOVE, Math.min(MAX_MOVE, move[i]));
      logs[tube] += by;
      largest = Math.max(largest, Math.abs(by));
    });
    if (largest < 1e-4) break;
  }
  return Array.from(logs, Math.exp);
}

/** The miss of a mixture (CIEDE2000) if each tube is so many times as strong. */
export function missOfMixture(
  tubes: readonly Optics[],
  { parts, result }: MadeMixture,
  strengths: readonly number[],
): number {
  const weights = parts.map(({ tube, parts: amount }) => amount * strengths[tube]);
  const paints = parts.map(({ tube }) => tubes[tube]);
  return ciede2000(mixLab(paints, weights), labFromOklab(result));
}

/** How a mixture is off in lightness, chroma and hue, in units of the noise. */
function offBy(
  tubes: readonly Optics[],
  { parts }: MadeMixture,
  result: Lab,
  logs: Float64Array,
): number[] {
  const lab = mixLab(
    parts.map(({ tube }) => tubes[tube]),
    parts.map(({ tube, parts: amount }) => amount * Math.exp(logs[tube])),
  );
  const C = Math.hypot(result.a, result.b);
  const [x, y] = C > 1e-6 ? [result.a / C, result.b / C] : [1, 0];
  const [a, b] = [lab.a - result.a, lab.b - result.b];
  return [
    (lab.L - result.L) / NOISE,
    (a * x + b * y) / (1 + 0.045 * C) / NOISE,
    (b * x - a * y) / (1 + 0.015 * C) / NOISE,
  ];
}

const dot = (one: Float64Array, other: Float64Array): number =>
  one.reduce((sum, at, i) => sum + at * other[i], 0);
