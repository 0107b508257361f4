import type { ColourGrid } from '../picture/colour-grid';
import { quantileOf } from '../raster/quantile';
import { shiftedCell, type FittedShift, type StudyCells } from './shift';

/** What is left of differences in each cell: value, a, b. */
export interface Residual {
  data: Float32Array;
  mask: Uint8Array;
}

/** How much a difference of a, b counts against one of a tenth of a Munsell step. */
const COLOUR_WEIGHT = 1.6;

export function residualOf(model: ColourGrid, study: StudyCells, shift: FittedShift): Residual {
  const cells = model.width * model.height;
  const data = new Float32Array(cells * 3);
  const mask = new Uint8Array(cells);
  for (let c = 0; c < cells; c++) {
    if (!study.mask[c] || !model.mask[c]) continue;
    const [value, a, b] = shiftedCell(model, c, shift);
    mask[c] = 1;
    data[c * 3] = study.value[c] - value;
    data[c * 3 + 1] = study.oklab[c * 3 + 1] - a;
    data[c * 3 + 2] = study.oklab[c * 3 + 2] - b;
  }
  return { data, mask };
}

/** Value steps, a and b as one length: a Munsell step is a tenth of OKLab's lightness. */
export const lengthOf = (value: number, a: number, b: number) =>
  Math.hypot(value / 10, COLOUR_WEIGHT * a, COLOUR_WEIGHT * b);

/** The differences as a grid of their own, in which masses are found as in a picture. */
export function residualGrid(model: ColourGrid, residual: Residual): ColourGrid {
  const oklab = new Float32Array(residual.data.length);
  for (let c = 0; c < residual.mask.length; c++) {
    oklab[c * 3] = residual.data[c * 3] / 10;
    oklab[c * 3 + 1] = COLOUR_WEIGHT * residual.data[c * 3 + 1];
    oklab[c * 3 + 2] = COLOUR_WEIGHT * residual.data[c * 3 + 2];
  }
  return {
    ...model,
    oklab,
    value: new Float32Array(residual.mask.length),
    mask: Float32Array.from(residual.mask),
  };
}

/** The median difference of each label's cells, value, a and b. */
export function mediansOf(
  labels: ArrayLike<number>,
  count: number,
  { data }: Residual,
): Float64Array {
  const cells: number[][] = Array.from({ length: count }, () => []);
  for (let c = 0; c < labels.length; c++) if (labels[c] >= 0) cells[labels[c]].push(c);
  const out = new Float64Array(count * 3);
  cells.forEach((own, i) => {
    for (let k = 0; k < 3; k++)
      out[i * 3 + k] = quantileOf(
        Float64Array.from(own, (c) => data[c * 3 + k]),
        0.5,
      );
  });
  return out;
}
