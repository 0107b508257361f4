import type { ColourGrid } from '../picture/colour-grid';
import { boxSums } from '../raster/box-sums';
import { quantileOf } from '../raster/quantile';
import { shiftedCell, type FittedShift, type StudyCells } from './shift';

/**
 * What is left of differences in each cell, three floats: Munsell steps, OKLCH chroma, and hue as the length that it makes
 * in a, b (CIE's ΔH), which is next to nothing where either is grey. In these terms a mass that is too strong is off alike
 * in all of its colours.
 */
export interface Residual {
  data: Float32Array;
  mask: Uint8Array;
}

/** How much a difference of chroma or hue counts against one of a tenth of a Munsell step. */
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
    const [sa, sb] = [study.oklab[c * 3 + 1], study.oklab[c * 3 + 2]];
    const [wanted, is] = [Math.hypot(a, b), Math.hypot(sa, sb)];
    const all = (sa - a) ** 2 + (sb - b) ** 2;
    const turn = Math.sign(a * sb - b * sa);
    data[c * 3 + 1] = is - wanted;
    data[c * 3 + 2] = turn * Math.sqrt(Math.max(0, all - (is - wanted) ** 2));
  }
  return { data, mask };
}

/** Value, chroma and hue as one length: a Munsell step is a tenth of OKLab's lightness. */
export const lengthOf = (value: number, chroma: number, hue: number) =>
  Math.hypot(value / 10, COLOUR_WEIGHT * chroma, COLOUR_WEIGHT * hue);

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

/** Cells to each side that a difference is the mean of where masses of differences are found. */
const SMOOTH = 2;

/** Differences as means of the sound cells around each, so that single edges don't part them. */
export function smoothedResidual(
  { data, mask }: Residual,
  sound: Uint8Array,
  width: number,
): Residual {
  const sums = new Float64Array(mask.length * 4);
  for (let c = 0; c < mask.length; c++) {
    if (!mask[c] || !sound[c]) continue;
    sums[c * 4] = 1;
    for (let k = 0; k < 3; k++) sums[c * 4 + 1 + k] = data[c * 3 + k];
  }
  boxSums(sums, width, mask.length / width, 4, SMOOTH);
  const out = data.slice();
  for (let c = 0; c < mask.length; c++)
    if (sums[c * 4] > 0)
      for (let k = 0; k < 3; k++) out[c * 3 + k] = sums[c * 4 + 1 + k] / sums[c * 4];
  return { data: out, mask };
}

/** The median difference of each label's cells: value, chroma, hue. */
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
