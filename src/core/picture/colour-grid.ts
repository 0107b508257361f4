import { writeOklab } from '../colour/oklab';
import { luminance } from '../colour/srgb';
import { quickValueOfLuminance } from '../colour/value';
import { coarsen, type Blocks } from './blocks';
import type { Place } from './framing';
import type { Picture } from './picture';

/** A picture in some ten thousand square cells, each the mean of its light: what masses and contrasts are read on. */
export interface ColourGrid {
  width: number;
  height: number;
  /** Cells across and down the picture; the last ones may reach beyond it. */
  across: number;
  down: number;
  /** OKLab, three floats a cell. */
  oklab: Float32Array;
  /** Munsell value of each cell, 0–10. */
  value: Float32Array;
  /** 1 where anything of the cell is not transparent. */
  mask: Float32Array;
}

/**
 * A picture in cells, `cells` of them along its longer side (fewer for a small one). `blocks` are of
 * that picture.
 */
export function colourGrid(
  picture: Pick<Picture, 'width' | 'height'>,
  blocks: Blocks,
  cells: number,
): ColourGrid {
  const times = Math.max(1, Math.round(Math.max(blocks.width, blocks.height) / cells));
  const { width, height, side, rgb, opaque: mask } = coarsen(blocks, times);
  const oklab = new Float32Array(rgb.length);
  const value = new Float32Array(mask.length);
  for (let c = 0; c < mask.length; c++) {
    if (mask[c] === 0) continue;
    const r = rgb[c * 3];
    const g = rgb[c * 3 + 1];
    const b = rgb[c * 3 + 2];
    writeOklab(r, g, b, oklab, c * 3);
    value[c] = quickValueOfLuminance(luminance(r, g, b));
  }
  return {
    width,
    height,
    across: picture.width / side,
    down: picture.height / side,
    oklab,
    value,
    mask,
  };
}

/** The place of a cell's middle, in fractions of the picture. */
export function placeOfCell({ width, across, down }: ColourGrid, cell: number): Place {
  return {
    x: Math.min(1, ((cell % width) + 0.5) / across),
    y: Math.min(1, (Math.floor(cell / width) + 0.5) / down),
  };
}
