import { labFromOklab, type Lab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { solved } from './linear-system';

/** Something that was made of things, by their places in a list, and what came of it. */
export interface Observation {
  things: readonly number[];
  result: Oklab;
  /** What it would look like if each thing were so many times as strong. */
  foretold: (factors: ArrayLike<number>) => Lab;
}

/** How far things of one name differ between makers: the standard deviation of the logarithm of their strength. */
const PRIOR = 0.4;
/** How far a photograph or an eye is off: CIEDE2000. */
const NOISE = 1.5;
const ROUNDS = 12;
const STEP = 0.02;
/** Strength changes by e to this in one round at most. */
const MAX_MOVE = 0.5;

/**
 * How many times as strong as thought each of `count` things is: Gauss-Newton least squares over all that was made,
 * regularised toward 1 by how far makers differ. What was used in nothing stays as it is.
 */
export function learnedFactors(count: number, made: readonly Observation[]): number[] {
  const used = [...new Set(made.flatMap(({ things }) => things))];
  const logs = new Float64Array(count);
  if (used.length === 0) return Array.from(logs, Math.exp);
  const results = made.map(({ result }) => labFromOklab(result));
  const residuals = (at: Float64Array) => {
    const factors = at.map(Math.exp);
    return Float64Array.from(
      made.flatMap(({ foretold }, k) => offBy(foretold(factors), results[k])),
    );
  };
  for (let round = 0; round < ROUNDS; round++) {
    const off = residuals(logs);
    const slopes = used.map((thing) => {
      const moved = logs.slice();
      moved[thing] += STEP;
      const ahead = residuals(moved);
      return ahead.map((one, i) => (one - off[i]) / STEP);
    });
    const rows = used.map((thing, i) => [
      ...used.map((_, j) => dot(slopes[i], slopes[j]) + (i === j ? 1 / PRIOR ** 2 : 0)),
      -dot(slopes[i], off) - logs[thing] / PRIOR ** 2,
    ]);
    const move = solved(rows);
    let largest = 0;
    used.forEach((thing, i) => {
      const by = Math.max(-MAX_MOVE, Math.min(MAX_MOVE, move[i]));
      logs[thing] += by;
      largest = Math.max(largest, Math.abs(by));
    });
    if (largest < 1e-4) break;
  }
  return Array.from(logs, Math.exp);
}

/** How a colour is off in lightness, chroma and hue, in units of the noise. */
function offBy(lab: Lab, result: Lab): number[] {
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
