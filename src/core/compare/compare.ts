import { MASS_CELLS } from '../measure/masses';
import { blocksOf } from '../picture/blocks';
import { colourGrid } from '../picture/colour-grid';
import type { Picture } from '../picture/picture';
import { drawingOf, type DrawingDifferences } from './drawing-differences';
import { layStudy, type KnownBy, type LaidStudy, type LayOptions } from './lay-study';
import type { Registration } from './registration';
import { relationsOf, type Relation } from './relations';
import { residualOf } from './residual';
import { steadyCells } from './steady-cells';
import { fitShift, type Shift } from './shift';

/** What a study has otherwise than what it is held against. */
export interface Differences extends DrawingDifferences {
  /** Null where nothing of known colour is seen. */
  shift: Shift | null;
  /** The largest first. */
  relations: Relation[];
}

export interface Comparison extends Differences {
  registration: Registration;
  knownBy: KnownBy | null;
}

/**
 * A study that was laid on its model, held against that or against another picture in its frame (a plan, a variant, what the
 * study was before): what it has otherwise everywhere is its shift, what is left are relations.
 */
export function differencesOf(laid: LaidStudy, against: Picture | null = null): Differences {
  const grid = against ? colourGrid(against, blocksOf(against), MASS_CELLS) : laid.grid;
  if (grid.width !== laid.grid.width || grid.height !== laid.grid.height)
    throw new RangeError('what a study is held against has another frame than its model');
  const { cells, knownBy } = laid;
  const steady = steadyCells(grid);
  const fitted = fitShift(grid, cells, steady, knownBy === null);
  const residual = residualOf(grid, cells, fitted);
  const { value, valueGain, chromaGain, hueTurn } = fitted;
  return {
    shift: knownBy === null ? null : { value, valueGain, chromaGain, hueTurn },
    relations: relationsOf(grid, cells, fitted, residual, steady),
    ...drawingOf(grid, cells, fitted),
  };
}

/** A study against its model. Null where it isn't found in the photograph. */
export function compare(
  model: Picture,
  photo: Picture,
  options: LayOptions = {},
): Comparison | null {
  const laid = layStudy(model, photo, options);
  if (!laid) return null;
  const { registration, knownBy } = laid;
  return { registration, knownBy, ...differencesOf(laid) };
}
