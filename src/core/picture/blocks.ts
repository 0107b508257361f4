import { LINEAR_OF_BYTE } from '../colour/srgb';
import { OPAQUE, type Picture } from './picture';

/** A picture in square blocks of linear light: three floats a block. */
export interface Blocks {
  width: number;
  height: number;
  /** Pixels a block's side. */
  side: number;
  rgb: Float32Array;
  /** How many pixels of each block are not transparent, or 0 and 1 where the light is a mean. */
  opaque: Float32Array;
}

/** Pixels a side of the smallest blocks; all larger ones are made of them. */
export const BLOCK = 2;

/** The picture in the smallest blocks: the sum of each one's light. */
export function blocksOf({ width, height, data }: Picture): Blocks {
  const across = Math.ceil(width / BLOCK);
  const down = Math.ceil(height / BLOCK);
  const rgb = new Float32Array(across * down * 3);
  const opaque = new Float32Array(across * down);
  for (let y = 0; y < height; y++) {
    const row = ((y / BLOCK) | 0) * across;
    // Both pixels of a row at once: half the writing.
    for (let b = row, i = y * width * 4, end = i + width * 4; i < end; b++, i += 4 * BLOCK) {
      const one = data[i + 3] >= OPAQUE;
      const other = i + 4 < end && data[i + 7] >= OPAQUE;
      if (!one && !other) continue;
      let r = 0;
      let g = 0;
      let bl = 0;
      if (one) {
        r = LINEAR_OF_BYTE[data[i]];
        g = LINEAR_OF_BYTE[data[i + 1]];
        bl = LINEAR_OF_BYTE[data[i + 2]];
      }
      if (other) {
        r += LINEAR_OF_BYTE[data[i + 4]];
        g += LINEAR_OF_BYTE[data[i + 5]];
        bl += LINEAR_OF_BYTE[data[i + 6]];
      }
      rgb[b * 3] += r;
      rgb[b * 3 + 1] += g;
      rgb[b * 3 + 2] += bl;
      opaque[b] += one && other ? 2 : 1;
    }
  }
  return { width: across, height: down, side: BLOCK, rgb, opaque };
}

/**
 * The same by one pixel of each block: a quarter of the work, and as good where the picture is smooth;
 * `isMirrored` takes them from right to left, as `mirror` would turn the picture.
 */
export function sampledBlocks({ width, height, data }: Picture, isMirrored = false): Blocks {
  const across = Math.ceil(width / BLOCK);
  const down = Math.ceil(height / BLOCK);
  const rgb = new Float32Array(across * down * 3);
  const opaque = new Float32Array(across * down);
  const step = (isMirrored ? -BLOCK : BLOCK) * 4;
  for (let y = 0, b = 0; y < down; y++) {
    let i = (y * BLOCK * width + (isMirrored ? width - 1 : 0)) * 4;
    for (let x = 0; x < across; x++, b++, i += step) {
      if (data[i + 3] < OPAQUE) continue;
      rgb[b * 3] = LINEAR_OF_BYTE[data[i]];
      rgb[b * 3 + 1] = LINEAR_OF_BYTE[data[i + 1]];
      rgb[b * 3 + 2] = LINEAR_OF_BYTE[data[i + 2]];
      opaque[b] = 1;
    }
  }
  return { width: across, height: down, side: BLOCK, rgb, opaque };
}

/** Blocks of `times` × `times` blocks, as means; `opaque` becomes 1 where anything is opaque. */
export function coarsen(blocks: Blocks, times: number): Blocks {
  const width = Math.ceil(blocks.width / times);
  const height = Math.ceil(blocks.height / times);
  const rgb = new Float32Array(width * height * 3);
  const opaque = new Float32Array(width * height);
  for (let y = 0; y < blocks.height; y++) {
    const row = ((y / times) | 0) * width;
    const end = (y + 1) * blocks.width;
    for (let c = row, b = y * blocks.width; b < end; c++) {
      let red = 0;
      let green = 0;
      let blue = 0;
      let count = 0;
      for (const next = Math.min(end, b + times); b < next; b++) {
        red += blocks.rgb[b * 3];
        green += blocks.rgb[b * 3 + 1];
        blue += blocks.rgb[b * 3 + 2];
        count += blocks.opaque[b];
      }
      rgb[c * 3] += red;
      rgb[c * 3 + 1] += green;
      rgb[c * 3 + 2] += blue;
      opaque[c] += count;
    }
  }
  for (let c = 0; c < opaque.length; c++) {
    if (opaque[c] === 0) continue;
    for (let k = 0; k < 3; k++) rgb[c * 3 + k] /= opaque[c];
    opaque[c] = 1;
  }
  return { width, height, side: blocks.side * times, rgb, opaque };
}
