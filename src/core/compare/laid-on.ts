import { LINEAR_OF_BYTE } from '../colour/srgb';
import type { ColourGrid } from '../picture/colour-grid';
import { OPAQUE, type Picture } from '../picture/picture';
import { mapped, type Homography } from '../raster/homography';

/** Samples along each side of a cell at most. */
const MAX_SAMPLES = 4;
/** A channel from this byte on has run out: what it was brighter is lost. */
export const CLIPPED = 253;

/** What a photograph shows in each cell of a model's grid. */
export interface LaidOn {
  /** Linear light, three floats a cell. */
  light: Float32Array;
  /** 1 where the photograph shows the cell and no channel has run out. */
  mask: Uint8Array;
}

/** The mean light that a photograph has in each cell of a grid, `toPhoto` from fractions of the one to the other. */
export function laidOn(
  { width, height, across, down }: ColourGrid,
  photo: Picture,
  toPhoto: Homography,
): LaidOn {
  const light = new Float32Array(width * height * 3);
  const mask = new Uint8Array(width * height);
  const [x0, y0] = mapped(toPhoto, 0.5, 0.5);
  const [x1, y1] = mapped(toPhoto, 0.5 + 1 / across, 0.5 + 1 / down);
  const pixels = Math.max(Math.abs(x1 - x0) * photo.width, Math.abs(y1 - y0) * photo.height);
  const samples = Math.max(1, Math.min(MAX_SAMPLES, Math.round(pixels)));
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      let n = 0;
      let whole = true;
      for (let j = 0; j < samples && whole; j++)
        for (let i = 0; i < samples; i++) {
          const u = Math.min(1, (x + (i + 0.5) / samples) / across);
          const v = Math.min(1, (y + (j + 0.5) / samples) / down);
          const at = pixelAt(photo, toPhoto, u, v);
          if (at < 0 || isClipped(photo, at)) {
            whole = false;
            break;
          }
          for (let k = 0; k < 3; k++) light[c * 3 + k] += LINEAR_OF_BYTE[photo.data[at + k]];
          n++;
        }
      if (!whole) continue;
      mask[c] = 1;
      for (let k = 0; k < 3; k++) light[c * 3 + k] /= n;
    }
  return { light, mask };
}

/** The first byte of the pixel that a place of the model is seen at; −1 outside the photograph and where it is transparent. */
export function pixelAt(
  { width, height, data }: Picture,
  toPhoto: Homography,
  u: number,
  v: number,
): number {
  const [x, y] = mapped(toPhoto, u, v);
  const [px, py] = [Math.floor(x * width), Math.floor(y * height)];
  if (!(px >= 0 && py >= 0 && px < width && py < height)) return -1;
  const at = (py * width + px) * 4;
  return data[at + 3] < OPAQUE ? -1 : at;
}

export const isClipped = ({ data }: Picture, at: number): boolean =>
  data[at] >= CLIPPED || data[at + 1] >= CLIPPED || data[at + 2] >= CLIPPED;
