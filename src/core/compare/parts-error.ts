import { composed, inverted, mapped, type Homography } from '../raster/homography';
import { quantileOf } from '../raster/quantile';
import { warpedInto } from './align';
import type { Grid } from './value-grid';

/** The model is parted into so many squares along each side to say how far places are off. */
const PARTS = 5;

/** Each part of the model is moved by itself to where it agrees best: the median way, in diagonals of the model. */
export function partsError(own: Grid, target: Grid, toPhoto: Homography): number {
  const ways: number[] = [];
  const back = inverted(toPhoto);
  const [across, down] = [own.width / PARTS, own.height / PARTS].map(Math.floor);
  if (across < 8 || down < 8) return 0;
  for (let row = 0; row < PARTS; row++)
    for (let column = 0; column < PARTS; column++) {
      const [left, top] = [column * across, row * down];
      const part = cutOut(own, left, top, across, down);
      const start = composed(toPhoto, [1, 0, left, 0, 1, top, 0, 0, 1]);
      const way = bestWay(part, target, start);
      if (way === null) continue;
      const [x, y] = [across / 2, down / 2];
      const [px, py] = mapped(start, x + way[0], y + way[1]);
      const [bx, by] = mapped(back, px, py);
      ways.push(Math.hypot(bx - left - x, by - top - y));
    }
  return quantileOf(Float64Array.from(ways), 0.5) / Math.hypot(own.width, own.height);
}

function cutOut(grid: Grid, left: number, top: number, width: number, height: number): Grid {
  const at = (c: number) => (top + Math.floor(c / width)) * grid.width + left + (c % width);
  return {
    width,
    height,
    data: Float32Array.from({ length: width * height }, (_, c) => grid.data[at(c)]),
    mask: Uint8Array.from({ length: width * height }, (_, c) => grid.mask[at(c)]),
  };
}

/** How far parts are tried to each side, in cells. */
const WAYS = 4;
/** A part whose contrasts agree less than this, wherever it is put, says nothing. */
const MIN_AGREEMENT = 0.3;

/** The shift in cells at which a part agrees best, between whole cells by a parabola through the neighbours; null where it never does. */
function bestWay(part: Grid, target: Grid, start: Homography): [number, number] | null {
  const { width, height } = part;
  const around = warpedInto(
    target,
    composed(start, [1, 0, -WAYS - 1, 0, 1, -WAYS - 1, 0, 0, 1]),
    width + 2 * WAYS + 2,
    height + 2 * WAYS + 2,
  );
  const score = (dx: number, dy: number) => {
    let [mm, ss, ms] = [0, 0, 0];
    for (let y = 0, c = 0; y < height; y++) {
      let d = (y + dy + WAYS + 1) * around.width + dx + WAYS + 1;
      // Where either has no number it is 0.
      for (let x = 0; x < width; x++, c++, d++) {
        const one = part.data[c];
        const other = around.data[d];
        mm += one * one * around.mask[d];
        ss += other * other * part.mask[c];
        ms += one * other;
      }
    }
    return mm > 0 && ss > 0 ? ms / Math.sqrt(mm * ss) : 0;
  };
  let [best, bx, by] = [MIN_AGREEMENT, NaN, NaN];
  for (let dy = -WAYS; dy <= WAYS; dy++)
    for (let dx = -WAYS; dx <= WAYS; dx++) {
      const here = score(dx, dy);
      if (here > best) [best, bx, by] = [here, dx, dy];
    }
  if (Number.isNaN(bx)) return null;
  const top = (before: number, after: number) => {
    const bend = before - 2 * best + after;
    return bend < 0 ? Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend))) : 0;
  };
  return [
    bx + top(score(bx - 1, by), score(bx + 1, by)),
    by + top(score(bx, by - 1), score(bx, by + 1)),
  ];
}
