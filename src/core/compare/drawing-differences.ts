import type { ColourGrid } from '../picture/colour-grid';
import { edgeDifferences, type EdgeDifference } from './edge-differences';
import { flattenedGradients, type FlattenedGradient } from './flattened';
import { proportionsOf, type Proportions } from './proportions';
import { unshiftedValue, type FittedShift, type StudyCells } from './shift';
import type { Grid } from './value-grid';

export interface DrawingDifferences {
  /** The longest first. */
  edges: EdgeDifference[];
  /** The largest first. */
  flattened: FlattenedGradient[];
  proportions: Proportions;
}

/** Cells along the picture's sides that a photograph mixes with what lies around the study. */
const RIM = 3;

function withoutRim(mask: Uint8Array, { width, across, down }: ColourGrid): Uint8Array {
  return mask.map((there, c) => {
    const [x, y] = [c % width, Math.floor(c / width)];
    return there && x >= RIM && y >= RIM && x < across - RIM && y < down - RIM ? 1 : 0;
  });
}

/** Edges, gradients and proportions of a study against its model, its shift taken out. */
export function drawingOf(
  grid: ColourGrid,
  study: StudyCells,
  shift: FittedShift,
): DrawingDifferences {
  const { width, height } = grid;
  const model: Grid = {
    width,
    height,
    data: grid.value,
    mask: Uint8Array.from(grid.mask, Math.ceil),
  };
  const painted: Grid = {
    width,
    height,
    data: study.value.map((value) => unshiftedValue(value, shift)),
    mask: withoutRim(study.mask, grid),
  };
  return {
    edges: edgeDifferences(grid, model, painted),
    flattened: flattenedGradients(grid, model, painted),
    proportions: proportionsOf(model, painted),
  };
}
