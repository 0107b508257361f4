import type { Picture } from '../picture/picture';
import { paintedBy } from '../testing';

/** For tests: a landscape of a few masses with a little drawing in it. */
export const landscape = (width = 240, height = 180): Picture =>
  paintedBy(width, height, (px, py) => {
    const [x, y] = [px / width, py / height];
    if (Math.hypot(x - 0.72, y - 0.2) < 0.07) return [236, 214, 150];
    if (y < 0.42 + 0.08 * Math.sin(7 * x)) return [150, 178, 205];
    if (Math.abs(x - 0.3) < 0.09 && y > 0.38 && y < 0.66) return [176, 92, 70];
    if (Math.abs(x - 0.3) < 0.03 && y < 0.82 && y > 0.6) return [70, 60, 66];
    if (y < 0.68 + 0.05 * Math.cos(9 * x)) return [112, 132, 84];
    return x > 0.55 + 0.2 * (y - 0.7) ? [86, 104, 122] : [142, 120, 88];
  });

/** A picture laid on a larger ground of one colour, its upper left at a place. */
export function laidIn(
  { width, height, data }: Picture,
  ground: readonly [number, number, number],
  size: readonly [number, number],
  [left, top]: readonly [number, number],
): Picture {
  return paintedBy(size[0], size[1], (x, y) => {
    const [u, v] = [x - left, y - top];
    if (u < 0 || v < 0 || u >= width || v >= height) return ground;
    const at = (v * width + u) * 4;
    return [data[at], data[at + 1], data[at + 2]];
  });
}

/** Each channel by a function of its linear light. */
export function relit(
  { width, height, data }: Picture,
  of: (byte: number, channel: number, x: number, y: number) => number,
): Picture {
  return paintedBy(width, height, (x, y) => {
    const at = (y * width + x) * 4;
    return [
      of(data[at], 0, x / width, y / height),
      of(data[at + 1], 1, x / width, y / height),
      of(data[at + 2], 2, x / width, y / height),
    ];
  });
}
