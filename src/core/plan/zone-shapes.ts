import { contours } from 'd3-contour';
import type { ColourGrid } from '../picture/colour-grid';
import type { Box } from '../picture/framing';
import { ringArea } from '../raster/polylines';

/** Rings smaller than this share of the picture are specks that nobody paints. */
const SPECK = 0.0004;

type Cells = Pick<ColourGrid, 'width' | 'height' | 'across' | 'down'>;

/**
 * The zones between thresholds (Munsell values, rising) as SVG paths inside `box`, from dark to
 * light. Each zone's shape reaches under all lighter ones, so that no gap shows between two.
 */
export function zoneShapes(grid: ColourGrid, thresholds: readonly number[], box: Box): string[] {
  const values = Array.from(grid.value, (one, cell) => (grid.mask[cell] ? one : -1));
  const pathOver = contourPath(grid, box);
  // The darkest zone is all there is.
  return [-0.5, ...thresholds].map((threshold) => pathOver(values, threshold));
}

/**
 * For numbers of cells the SVG path, inside `box`, around those over a threshold; rings smaller than `speck`, a share of
 * the picture, are left out. `left` and `top` say where the cells begin among those `across` and `down`.
 */
export function contourPath(
  { width, height, across, down, left = 0, top = 0 }: Cells & { left?: number; top?: number },
  box: Box,
  speck = SPECK,
): (numbers: number[], threshold: number) => string {
  const trace = contours().size([width, height]).smooth(true);
  const least = speck * across * down;
  const within = (cells: number, all: number) => Math.min(1, Math.max(0, cells / all));
  const x = (px: number) => Math.round((box.x + within(left + px, across) * box.width) * 100);
  const y = (py: number) => Math.round((box.y + within(top + py, down) * box.height) * 100);
  const pathOf = (ring: number[][]) =>
    `M${ring
      .slice(0, -1)
      .filter(
        (point, i, points) => !isStraight(points.at(i - 1), point, points[(i + 1) % points.length]),
      )
      .map(([px, py]) => `${x(px) / 100} ${y(py) / 100}`)
      .join('L')}Z`;
  return (numbers, threshold) =>
    trace
      .contour(numbers, threshold)
      .coordinates.flatMap((polygon) =>
        polygon.filter((ring) => ringArea(ring) >= least).map(pathOf),
      )
      .join('');
}

/** Whether a point lies on the straight line between its neighbours, and so says nothing. */
function isStraight(before: number[] | undefined, [x, y]: number[], [nextX, nextY]: number[]) {
  if (!before) return false;
  const [x0, y0] = before;
  return Math.abs((x - x0) * (nextY - y0) - (y - y0) * (nextX - x0)) < 1e-3;
}
