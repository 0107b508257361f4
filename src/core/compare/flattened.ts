import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { boxSums } from '../raster/box-sums';
import { connectedComponents } from '../raster/connected-components';
import { polesOfInaccessibility } from '../raster/pole-of-inaccessibility';
import { smoothed, stepsAtScale } from './scale-steps';
import type { Grid } from './value-grid';

/** A slow turn of value in the model that the study hasn't. */
export interface FlattenedGradient extends Place {
  /** Of the picture. */
  share: number;
  /** Munsell steps that the model turns by within the window it was looked at in. */
  turn: number;
}

const SMOOTH = 2;
/** Half the side of the window that a turn is read in, in cells. */
const REACH = 9;
/** Where the value steps by more than this at the finest scale there is an edge, and no turn. */
const MAX_STEP = 0.7;
/** The least turn within a window, in Munsell steps. */
const MIN_TURN = 0.5;
/** The study follows less than this of the model's turn, and has itself no more than this share of its spread. */
const MAX_GAIN = 0.4;
const MAX_SPREAD = 0.5;
/** Of the window's cells, so many have to belong to the turn. */
const MIN_FILLED = 0.35;
const MIN_SHARE = 0.008;

/**
 * Gradients that were flattened, the largest first: in a window about each cell, the study's values are regressed on the
 * model's, edges left out. Only what has lost its turn counts, not what turns otherwise.
 */
export function flattenedGradients(
  grid: ColourGrid,
  model: Grid,
  study: Grid,
): FlattenedGradient[] {
  const { width, height } = model;
  const steps = stepsAtScale(model, 1);
  const [m, s] = [model, study].map((one) => smoothed(one, SMOOTH));
  const cells = width * height;
  const sums = new Float64Array(cells * 6);
  for (let c = 0; c < cells; c++) {
    if (!model.mask[c] || !study.mask[c] || steps[c] > MAX_STEP) continue;
    sums.set([1, m[c], s[c], m[c] * m[c], s[c] * s[c], m[c] * s[c]], c * 6);
  }
  const own = Float64Array.from({ length: cells }, (_, c) => sums[c * 6]);
  boxSums(sums, width, height, 6, REACH);
  const window = (2 * REACH + 1) ** 2;
  const turns = new Float32Array(cells);
  const flat = new Uint8Array(cells);
  for (let c = 0; c < cells; c++) {
    const [n, sm, ss, smm, sss, sms] = sums.subarray(c * 6, c * 6 + 6);
    if (!own[c] || n < MIN_FILLED * window) continue;
    const varModel = smm / n - (sm / n) ** 2;
    const varStudy = sss / n - (ss / n) ** 2;
    // Of an even ramp the spread is its range over the root of twelve.
    turns[c] = Math.sqrt(Math.max(0, varModel) * 12);
    if (turns[c] < MIN_TURN) continue;
    const gain = (sms / n - (sm / n) * (ss / n)) / varModel;
    if (gain < MAX_GAIN && varStudy < MAX_SPREAD ** 2 * varModel) flat[c] = 1;
  }
  const { labels, size } = connectedComponents(flat, width, height, 0);
  const large = size.flatMap((n, label) => (n >= MIN_SHARE * cells ? [label] : []));
  const kept = Int16Array.from(labels, (label) => (label < 0 ? -1 : large.indexOf(label)));
  const poles = polesOfInaccessibility(kept, width, large.length);
  return large
    .map((label, i) => ({
      ...placeOfCell(grid, poles[i]),
      share: size[label] / cells,
      turn: turns[poles[i]],
    }))
    .sort((one, other) => other.share - one.share);
}
