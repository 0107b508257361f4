import type { ColourGrid } from '../picture/colour-grid';
import { placeOfCell } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { connectedComponents } from '../raster/connected-components';
import { quantileOf } from '../raster/quantile';
import { largestAbout, stepsAtScale } from './scale-steps';
import type { Grid } from './value-grid';

/** An edge that is sharp in the model and soft in the study, or the other way round. */
export interface EdgeDifference extends Place {
  is: 'lost' | 'found';
  /** Of the picture's longer side. */
  length: number;
}

/** Deviations in cells: an edge as it is, and what steps in its surroundings. */
const FINE = 1;
const WIDE = [4, 8];
/** A step of value from which an edge is plain. */
const PLAIN = 0.9;
/** An edge is lost where less than this share of its step is left, softness of the whole apart. */
const LEFT = 0.5;
/** The surroundings have to step alike, or masses are off against each other and no edge is. */
const MIN_SAME = 0.6;
const MAX_SAME = 1.7;
/** Cells that a study's edge may lie off the model's. */
const STRAY = 2;
/** The least length, in cells, and the share of it that has to be lost. */
const MIN_CELLS = 11;
const MIN_SHARE = 0.6;
/** So many plain cells say how soft the whole is. */
const ENOUGH = 40;

/** Edges lost and found, the longest first. The study's values have its shift taken out. */
export function edgeDifferences(grid: ColourGrid, model: Grid, study: Grid): EdgeDifference[] {
  const { width, height } = model;
  const [fineModel, fineStudy] = [model, study].map((one) => stepsAtScale(one, FINE));
  // An edge may have gone so soft that only the wider one sees it whole.
  const [wideModel, wideStudy] = [model, study].map((one) => {
    const [wide, wider] = WIDE.map((scale) => stepsAtScale(one, scale));
    return wide.map((step, c) => Math.max(step, wider[c]));
  });
  const about = (steps: Float32Array) => largestAbout(steps, width, height, STRAY);
  const softness = softnessOfWhole(fineModel, about(fineStudy), wideModel, wideStudy, study.mask);
  const sharpened = fineStudy.map((step) => step / softness);
  return (
    [
      ['lost', fineModel, sharpened, wideModel, wideStudy],
      ['found', sharpened, fineModel, wideStudy, wideModel],
    ] as const
  )
    .flatMap(([is, from, to, wideFrom, wideTo]) => {
      const there = about(to);
      const wideThere = about(wideTo);
      const ridge = ridgesOf(from, width, height, study.mask);
      const missing = ridge.map((isRidge, c) => {
        const same = wideThere[c] / Math.max(0.05, wideFrom[c]);
        return isRidge && there[c] < LEFT * from[c] && same > MIN_SAME && same < MAX_SAME ? 1 : 0;
      });
      return runsOf(grid, missing, ridge).map((run): EdgeDifference => ({ is, ...run }));
    })
    .sort((one, other) => other.length - one.length);
}

/** What is left, on the median, of plain edges whose surroundings step alike: how soft the camera or the brush is as a whole. */
function softnessOfWhole(
  fineModel: Float32Array,
  fineStudy: Float32Array,
  wideModel: Float32Array,
  wideStudy: Float32Array,
  mask: Uint8Array,
): number {
  const left: number[] = [];
  for (let c = 0; c < mask.length; c++) {
    const same = wideStudy[c] / wideModel[c];
    if (mask[c] && fineModel[c] >= PLAIN && same > MIN_SAME && same < MAX_SAME)
      left.push(fineStudy[c] / fineModel[c]);
  }
  if (left.length < ENOUGH) return 1;
  return Math.max(0.5, Math.min(1.1, quantileOf(Float64Array.from(left), 0.5)));
}

/** Cells where a plain step is highest across its edge. */
function ridgesOf(
  steps: Float32Array,
  width: number,
  height: number,
  mask: Uint8Array,
): Uint8Array {
  const ridge = new Uint8Array(steps.length);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const c = y * width + x;
      if (!mask[c] || steps[c] < PLAIN) continue;
      const isHighest = (by: number) => steps[c] >= steps[c - by] && steps[c] > steps[c + by];
      if (isHighest(1) || isHighest(width)) ridge[c] = 1;
    }
  return ridge;
}

/** Stretches of ridge that are missing, bridged over a cell or two, where most of the ridge about them is. */
function runsOf(
  grid: ColourGrid,
  missing: Uint8Array,
  ridge: Uint8Array,
): (Place & { length: number })[] {
  const { width, height } = grid;
  const near = largestAbout(Float32Array.from(missing), width, height, 1);
  const { labels, size } = connectedComponents(near, width, height, 0);
  const runs = size.map(() => ({ x: 0, y: 0, n: 0, of: 0 }));
  for (let c = 0; c < labels.length; c++) {
    if (labels[c] < 0 || !ridge[c]) continue;
    const run = runs[labels[c]];
    run.of++;
    if (!missing[c]) continue;
    run.n++;
    run.x += c % width;
    run.y += Math.floor(c / width);
  }
  const middles = new Map<number, { cell: number; off: number }>();
  for (let c = 0; c < labels.length; c++) {
    if (labels[c] < 0 || !missing[c]) continue;
    const { x, y, n } = runs[labels[c]];
    const off = Math.hypot((c % width) - x / n, Math.floor(c / width) - y / n);
    const best = middles.get(labels[c]);
    if (!best || off < best.off) middles.set(labels[c], { cell: c, off });
  }
  return runs.flatMap(({ n, of }, label) => {
    const middle = middles.get(label);
    if (!middle || n < MIN_CELLS || n < MIN_SHARE * of) return [];
    return [{ ...placeOfCell(grid, middle.cell), length: n / Math.max(width, height) }];
  });
}
