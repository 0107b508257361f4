import type { Lab } from '../colour/cielab';
import { MAX_PAINTS, mixScratch, writeMixLab } from './mix-lab';
import type { Optics } from './pigment';

/** Parts of paints (summing to 1) and how far their mixture is from the target by the fit's own measure. */
export interface FittedWeights {
  weights: number[];
  miss: number;
}

const MAX_STEPS = 24;
/** No part is less than this share of the largest: below a speck in twelve. */
const MIN_SHARE = 1 / 480;
/** A miss that no eye tells, and that rounding to parts drowns. */
const ENOUGH = 0.01;
/** A step that gains less than this share of the miss is the last. */
const MIN_GAIN = 0.005;
/** Weights change by e to this in one step at most. */
const MAX_MOVE = 1.5;
const MAX_DAMPING = 1e5;

/** Written over by each fit, so that the many fits of a search allocate nothing but their answers. */
let here = mixScratch();
let there = mixScratch();
let weights = new Float64Array(MAX_PAINTS);
let trial = new Float64Array(MAX_PAINTS);
let residual = new Float64Array(3);
let missed = new Float64Array(3);
const perceived = new Float64Array(3 * MAX_PAINTS);
const system = new Float64Array(MAX_PAINTS * (MAX_PAINTS + 1));
const move = new Float64Array(MAX_PAINTS);

/**
 * Weights of up to four paints whose mixture is nearest a target, from a start: Levenberg–Marquardt over the
 * logarithms of the weights. Differences are CIEDE2000's own scales at the target, without its rotation.
 * Source: D. Marquardt, "An algorithm for least-squares estimation of nonlinear parameters", SIAM Journal 11(2), 1963.
 */
export function fitWeights(
  paints: readonly Optics[],
  target: Lab,
  start: readonly number[],
): FittedWeights {
  const n = paints.length;
  const scales = scalesAt(target);
  weights.set(start);
  normalise(weights, n);
  writeMixLab(paints, weights, here, true);
  let miss = missOf(here.lab, target, scales, residual);
  let damping = 0.01;
  for (let step = 0; step < MAX_STEPS && miss > ENOUGH && damping < MAX_DAMPING; step++) {
    writeStep(here.slopes, residual, n, damping, scales);
    for (let i = 0; i < n; i++)
      trial[i] = weights[i] * Math.exp(Math.max(-MAX_MOVE, Math.min(MAX_MOVE, move[i])));
    normalise(trial, n);
    writeMixLab(paints, trial, there, true);
    const nextMiss = missOf(there.lab, target, scales, missed);
    if (nextMiss >= miss) {
      damping *= 6;
      continue;
    }
    const gained = miss - nextMiss;
    [weights, trial] = [trial, weights];
    [here, there] = [there, here];
    [residual, missed] = [missed, residual];
    damping = Math.max(1e-6, damping / 4);
    miss = nextMiss;
    if (gained < MIN_GAIN * miss) break;
  }
  return { weights: Array.from(weights.subarray(0, n)), miss };
}

/** Writes a difference in CIELAB as one in perceived steps (lightness, chroma, hue) at `at`. */
type Scales = (dL: number, da: number, db: number, out: Float64Array, at: number) => void;

/** CIEDE2000's weights of lightness, chroma and hue at a colour. */
function scalesAt({ L, a, b }: Lab): Scales {
  const C = Math.hypot(a, b);
  const [x, y] = C > 1e-6 ? [a / C, b / C] : [1, 0];
  const offset = (L - 50) ** 2;
  const byL = 1 + (0.015 * offset) / Math.sqrt(20 + offset);
  const byC = 1 + 0.045 * C;
  const byH = 1 + 0.015 * C;
  return (dL, da, db, out, at) => {
    out[at] = dL / byL;
    out[at + 1] = (da * x + db * y) / byC;
    out[at + 2] = (db * x - da * y) / byH;
  };
}

/** Writes how far a colour is from the target, and gives the length of it. */
function missOf(lab: Float64Array, target: Lab, scales: Scales, out: Float64Array): number {
  scales(lab[0] - target.L, lab[1] - target.a, lab[2] - target.b, out, 0);
  return Math.hypot(out[0], out[1], out[2]);
}

/** Writes into `move` the step that (JᵀJ + damping) solves, J being the slopes in perceived steps. */
function writeStep(
  slopes: Float64Array,
  off: Float64Array,
  n: number,
  damping: number,
  scales: Scales,
): void {
  const J = perceived;
  for (let i = 0; i < n; i++) scales(slopes[i * 3], slopes[i * 3 + 1], slopes[i * 3 + 2], J, i * 3);
  const width = n + 1;
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++)
      system[i * width + j] =
        J[i * 3] * J[j * 3] + J[i * 3 + 1] * J[j * 3 + 1] + J[i * 3 + 2] * J[j * 3 + 2];
    system[i * width + i] += damping * (system[i * width + i] + 1);
    system[i * width + n] = -(J[i * 3] * off[0] + J[i * 3 + 1] * off[1] + J[i * 3 + 2] * off[2]);
  }
  solve(n);
}

/** Solves the small positive-definite `system` by elimination, into `move`; each row ends with its right side. */
function solve(n: number): void {
  const width = n + 1;
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      const factor = system[j * width + i] / system[i * width + i];
      for (let k = i; k <= n; k++) system[j * width + k] -= factor * system[i * width + k];
    }
  for (let i = n - 1; i >= 0; i--) {
    let sum = system[i * width + n];
    for (let j = i + 1; j < n; j++) sum -= system[i * width + j] * move[j];
    move[i] = sum / system[i * width + i];
  }
}

/** Brings weights to a sum of 1, none below its least share. */
function normalise(of: Float64Array, n: number): void {
  let largest = 0;
  for (let i = 0; i < n; i++) largest = Math.max(largest, of[i]);
  let total = 0;
  for (let i = 0; i < n; i++) {
    of[i] = Math.max(of[i], largest * MIN_SHARE);
    total += of[i];
  }
  for (let i = 0; i < n; i++) of[i] /= total;
}
