import type { Box } from '../picture/framing';
import { boxSums } from '../raster/box-sums';
import type { MassPlan } from '../transfer/plan-masses';
import { contourPath } from './zone-shapes';

/** Cells to each side that an outline is evened out over. */
const EVENED = 2;
/**
 * A shape reaches to where it is this share of its surroundings: where up to three masses meet, one of them has as much, so
 * that nothing gapes between them once the larger are drawn below the smaller.
 */
const REACHES = 0.33;
/** What the evening out leaves of a speck that is smaller than this share of the picture, its surroundings cover. */
const SPECK = 0.00006;

/** For each mass of a plan its shape as an SVG path inside `box`; empty for what is too small to draw. */
export function massPaths({ masses, width, height, labels }: MassPlan, box: Box): string[] {
  const bounds = masses.map(() => ({ left: width, top: height, right: -1, bottom: -1 }));
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      if (labels[c] < 0) continue;
      const own = bounds[labels[c]];
      own.left = Math.min(own.left, x);
      own.right = Math.max(own.right, x);
      own.top = Math.min(own.top, y);
      own.bottom = y;
    }
  return bounds.map(({ left, top, right, bottom }, mass) => {
    if (right < 0) return '';
    // Only the cells around it are looked at.
    const [x0, y0] = [left, top].map((at) => at - 2 * EVENED - 1);
    const across = right - x0 + 2 * EVENED + 2;
    const down = bottom - y0 + 2 * EVENED + 2;
    const shares = new Float64Array(across * down);
    for (let y = 0, at = 0; y < down; y++)
      for (let x = 0; x < across; x++, at++) {
        // The picture goes on beyond its rim as it ends there.
        const column = Math.min(width - 1, Math.max(0, x0 + x));
        const row = Math.min(height - 1, Math.max(0, y0 + y));
        shares[at] = labels[row * width + column] === mass ? 1 : 0;
      }
    boxSums(shares, across, down, 1, EVENED);
    const window = (2 * EVENED + 1) ** 2;
    const pathOver = contourPath(
      { width: across, height: down, across: width, down: height, left: x0, top: y0 },
      box,
      SPECK,
    );
    return pathOver(
      Array.from(shares, (sum) => sum / window),
      REACHES,
    );
  });
}
