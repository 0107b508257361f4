import type { Masses } from '../measure/masses';
import type { ColourGrid } from '../picture/colour-grid';
import { isRim } from './gradients';

/** Cells are of one value within this: Munsell steps. */
const ONE_VALUE = 0.25;
const BINS = Math.ceil(10 / ONE_VALUE) + 1;

/**
 * How much colour varies in each of the first `count` masses where its value is the same: the standard
 * deviation of OKLab a, b within steps of a quarter value, over the cells away from its rim. One local
 * colour in light and shade has little of it, broken colour and passages from warm to cool have much.
 */
export function varietyAtOneValue(masses: Masses, grid: ColourGrid, count: number): number[] {
  const { labels } = masses;
  const stride = BINS * 4;
  const sums = new Float64Array(count * stride);
  for (let c = 0; c < labels.length; c++) {
    const mass = labels[c];
    if (mass < 0 || mass >= count || isRim(labels, grid.width, c)) continue;
    const a = grid.oklab[c * 3 + 1];
    const b = grid.oklab[c * 3 + 2];
    const at = mass * stride + Math.floor(grid.value[c] / ONE_VALUE) * 4;
    sums[at]++;
    sums[at + 1] += a;
    sums[at + 2] += b;
    sums[at + 3] += a * a + b * b;
  }
  return Array.from({ length: count }, (_, mass) => {
    let [freedom, squares] = [0, 0];
    for (let at = mass * stride; at < (mass + 1) * stride; at += 4) {
      const n = sums[at];
      if (n < 2) continue;
      freedom += n - 1;
      squares += sums[at + 3] - (sums[at + 1] ** 2 + sums[at + 2] ** 2) / n;
    }
    return freedom > 0 ? Math.sqrt(Math.max(0, squares / freedom)) : 0;
  });
}
