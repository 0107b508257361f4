import { byteOfLinear, LINEAR_OF_BYTE } from '../colour/srgb';
import { OPAQUE, pictureOf, type Picture } from '../picture/picture';
import { mapped } from '../raster/homography';
import type { LaidStudy } from './lay-study';

/** The light falls slowly: between every so many pixels of a row it is taken for even. */
const EVERY = 16;

/**
 * A study in the frame of its model, its light evened and its white set, at `width` × `height`; transparent where the
 * photograph doesn't show it. Bilinear, in linear light.
 */
export function evenedPicture(
  photo: Picture,
  { registration: { toPhoto }, falloff, balance }: LaidStudy,
  width: number,
  height: number,
): Picture {
  const out = pictureOf(width, height, new Uint8ClampedArray(width * height * 4));
  const { data } = photo;
  const [right, bottom] = [photo.width - 1, photo.height - 1];
  const [red, green, blue] = balance.map((log) => Math.exp(-log));
  for (let y = 0; y < height; y++) {
    const v = (y + 0.5) / height;
    let even = 1;
    for (let x = 0; x < width; x++) {
      if (x % EVERY === 0)
        even = Math.exp(-falloff((Math.min(width, x + EVERY / 2) + 0.5) / width, v));
      const [px, py] = mapped(toPhoto, (x + 0.5) / width, v);
      const fx = px * photo.width - 0.5;
      const fy = py * photo.height - 0.5;
      const x0 = Math.floor(fx);
      const y0 = Math.floor(fy);
      if (!(x0 >= -1 && y0 >= -1 && x0 <= right && y0 <= bottom)) continue;
      const [tx, ty] = [fx - x0, fy - y0];
      // The four pixels about the place, those beyond the rim as the rim.
      const upper = Math.max(0, y0) * photo.width;
      const lower = Math.min(bottom, y0 + 1) * photo.width;
      const [near, far] = [Math.max(0, x0), Math.min(right, x0 + 1)];
      const a = (upper + near) * 4;
      const b = (upper + far) * 4;
      const c = (lower + near) * 4;
      const d = (lower + far) * 4;
      const isThere =
        data[a + 3] >= OPAQUE &&
        data[b + 3] >= OPAQUE &&
        data[c + 3] >= OPAQUE &&
        data[d + 3] >= OPAQUE;
      if (!isThere) continue;
      const at = (y * width + x) * 4;
      for (let k = 0; k < 3; k++) {
        const above = LINEAR_OF_BYTE[data[a + k]] * (1 - tx) + LINEAR_OF_BYTE[data[b + k]] * tx;
        const below = LINEAR_OF_BYTE[data[c + k]] * (1 - tx) + LINEAR_OF_BYTE[data[d + k]] * tx;
        const white = k === 0 ? red : k === 1 ? green : blue;
        out.data[at + k] = byteOfLinear((above * (1 - ty) + below * ty) * white * even);
      }
      out.data[at + 3] = 255;
    }
  }
  return out;
}
