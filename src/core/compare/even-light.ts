import { luminance } from '../colour/srgb';
import { luminanceOfValue } from '../colour/value';
import { solved } from '../mixing/linear-system';
import type { ColourGrid } from '../picture/colour-grid';
import { quantileOf } from '../raster/quantile';
import type { LaidOn } from './laid-on';
import type { KnownSample } from './reference';

/** How unevenly the light falls: the logarithm of its strength at a place of the model (fractions of it), 0 on the whole. */
export type Falloff = (u: number, v: number) => number;

/** Values between which the study's light is taken to follow the model's by a straight line. */
const KNOTS = 8;
const MIN_KNOT = 0.25;
const ROUNDS = 12;
/** So many cells are enough. */
const MAX_CELLS = 4000;
/** Tukey's biweight: off by this many deviations a cell counts for nothing. */
const REACH = 4.685;
/** The least deviation that is reckoned with, in the logarithm of light. */
const MIN_SPREAD = 0.03;
/** Samples of paper count together as much as this many times all cells. */
const PAPER_WEIGHT = 3;
/** How strongly an even light is preferred, against the number of cells. */
const RIDGE = 2e-3;
const SMOOTH = 2e-3;
const DARK = 1e-4;
/** Luminance at which noise takes half of what a cell says in the logarithm. */
const NOISE = 0.01;

const shapes = (u: number, v: number): number[] => {
  const [x, y] = [2 * u - 1, 2 * v - 1];
  return [x, y, x * x, x * y, y * y];
};

/**
 * How the light falls on a study: a quadratic in the logarithm of light, fitted together with a free curve of the study's
 * light over the model's value, so that a study which is lighter or duller on the whole isn't taken for uneven light; by
 * iteratively reweighted least squares, so that single masses which are off aren't either. Paper that shows around the
 * study (`paper`, of one colour) holds it from outside. `steady` says which cells count.
 */
export function falloffOf(
  model: ColourGrid,
  study: LaidOn,
  steady: Uint8Array,
  paper: readonly KnownSample[],
): Falloff {
  let cells: number[] = [];
  for (let c = 0; c < study.mask.length; c++) if (study.mask[c] && steady[c]) cells.push(c);
  const step = Math.ceil(cells.length / MAX_CELLS);
  cells = cells.filter((_, i) => i % step === 0);
  if (cells.length < 50) return () => 0;
  const knots = knotsOf(Float64Array.from(cells, (c) => model.value[c]));
  const free = knots.length;
  const count = free + 5 + (paper.length > 0 ? 1 : 0);
  const logOf = (c: number) =>
    Math.log(
      Math.max(DARK, luminance(study.light[c * 3], study.light[c * 3 + 1], study.light[c * 3 + 2])),
    );
  /** Against the model's own light, so that what the curve has to follow is nearly straight. */
  const modelLog = (c: number) => Math.log(Math.max(DARK, luminanceOfValue(model.value[c])));
  const weightOf = (c: number) =>
    1 / (1 + NOISE / Math.max(DARK, luminanceOfValue(model.value[c])));
  const rowsOf = cells.map((c) => {
    const by = new Float64Array(count);
    hats(model.value[c], knots, by);
    const x = ((c % model.width) + 0.5) / model.across;
    const y = (Math.floor(c / model.width) + 0.5) / model.down;
    by.set(shapes(x, y), free);
    return { by, right: logOf(c) - modelLog(c), weight: weightOf(c) };
  });
  const ofPaper = paper.map(({ u, v, logs }) => {
    const by = new Float64Array(count);
    by.set(shapes(u, v), free);
    by[count - 1] = 1;
    const [r, g, b] = logs.map(Math.exp);
    return {
      by,
      right: Math.log(Math.max(DARK, luminance(r, g, b))),
      weight: (PAPER_WEIGHT * cells.length) / paper.length,
    };
  });
  // From all cells alike, and from those that are off least in an even light: where a large mass is off, either may lead astray.
  const solutions = [null, evenWeights(cells, model, (c) => logOf(c) - modelLog(c), knots)].map(
    (start) => fitted(start),
  );
  const found = solutions[0].off <= solutions[1].off ? solutions[0].by : solutions[1].by;
  const by = found.slice(free, free + 5);
  if (!by.every(Number.isFinite)) return () => 0;
  return (u, v) => dot(shapes(u, v), by);

  function fitted(start: Float64Array | null): { by: number[]; off: number } {
    let found: number[] = [];
    let median = Infinity;
    for (let round = 0; round < ROUNDS; round++) {
      const rows = Array.from({ length: count }, () => new Float64Array(count + 1));
      for (const part of [rowsOf, ofPaper]) {
        const off = found.length === 0 ? null : part.map(({ by, right }) => right - dot(by, found));
        const middle = off ? quantileOf(Float64Array.from(off, Math.abs), 0.5) : 0;
        if (off && part === rowsOf) median = middle;
        const spread = Math.max(MIN_SPREAD, 1.4826 * middle);
        part.forEach(({ by, right, weight }, i) => {
          const t = off ? off[i] / (REACH * spread) : 0;
          const first = !off && start && part === rowsOf ? start[i] : 1;
          if (Math.abs(t) >= 1 || first === 0) return;
          const w = weight * first * (1 - t * t) ** 2;
          for (let j = 0; j < count; j++) {
            if (by[j] === 0) continue;
            for (let k = 0; k < count; k++) rows[j][k] += w * by[j] * by[k];
            rows[j][count] += w * by[j] * right;
          }
        });
      }
      for (let j = 0; j < 5; j++) rows[free + j][free + j] += RIDGE * cells.length;
      // A curve of value has no kinks where there is little to go by.
      for (let j = 1; j + 1 < free; j++)
        [-1, 2, -1].forEach((one, a) =>
          [-1, 2, -1].forEach(
            (other, b) => (rows[j + a - 1][j + b - 1] += SMOOTH * cells.length * one * other),
          ),
        );
      for (let j = 0; j < count; j++) rows[j][j] += 1e-9;
      found = solved(rows);
    }
    return { by: found, off: median };
  }
}

/** Weights by how far each cell is off the median of those of its value, were the light even. */
function evenWeights(
  cells: readonly number[],
  model: ColourGrid,
  logOf: (c: number) => number,
  knots: readonly number[],
): Float64Array {
  const bins: number[][] = knots.map(() => []);
  const binOf = cells.map((c) => {
    const i = knots.findLastIndex((knot) => knot <= model.value[c]);
    return Math.max(0, i);
  });
  cells.forEach((c, i) => bins[binOf[i]].push(logOf(c)));
  const medians = bins.map((logs) => quantileOf(Float64Array.from(logs), 0.5));
  const offs = Float64Array.from(cells, (c, i) => Math.abs(logOf(c) - medians[binOf[i]]));
  const spread = Math.max(MIN_SPREAD, 1.4826 * quantileOf(offs, 0.5));
  return offs.map((off) => Math.max(0, 1 - (off / (2.5 * spread)) ** 2) ** 2);
}

const dot = (one: ArrayLike<number>, other: ArrayLike<number>): number => {
  let sum = 0;
  for (let i = 0; i < one.length; i++) sum += one[i] * other[i];
  return sum;
};

/** Values that part the cells into equal shares, no two too near. */
function knotsOf(values: Float64Array): number[] {
  const knots: number[] = [];
  for (let i = 0; i < KNOTS; i++) {
    const knot = quantileOf(values, i / (KNOTS - 1));
    if (knots.length === 0 || knot - knots[knots.length - 1] >= MIN_KNOT) knots.push(knot);
  }
  return knots;
}

/** The hat functions of linear interpolation between knots. */
function hats(value: number, knots: readonly number[], out: Float64Array): void {
  const last = knots.length - 1;
  if (last === 0 || value <= knots[0]) out[0] = 1;
  else if (value >= knots[last]) out[last] = 1;
  else {
    const i = knots.findIndex((knot) => knot > value) - 1;
    const t = (value - knots[i]) / (knots[i + 1] - knots[i]);
    out[i] = 1 - t;
    out[i + 1] = t;
  }
}
