import type { Picture } from '@/core/picture/picture';

/** How far the lines of a hatching stand apart and how wide they are, in shares of the longer side. */
const HATCH = { apart: 1 / 70, wide: 1 / 400 };

/** Slanting lines, black in white, over all that a map does not mark as `absent`. */
export function hatching(map: Uint8Array, width: number, height: number, absent: number): Picture {
  const side = Math.max(width, height);
  const apart = Math.max(4, Math.round(side * HATCH.apart));
  const wide = Math.max(1, Math.round(side * HATCH.wide));
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, p = 0; y < height; y++)
    for (let x = 0; x < width; x++, p++) {
      const along = (x + y) % apart;
      if (map[p] === absent || along >= 2 * wide) continue;
      const grey = along < wide ? 0 : 255;
      data[p * 4] = data[p * 4 + 1] = data[p * 4 + 2] = grey;
      data[p * 4 + 3] = 255;
    }
  return { width, height, data };
}
