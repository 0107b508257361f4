import { byteOfLinear, LINEAR_OF_BYTE } from '../colour/srgb';
import { OPAQUE, pictureOf, type Picture } from '../picture/picture';
import { mapped } from '../raster/homography';
import type { LaidStudy } from './lay-study';

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
  const base = balance.map((log) => Math.exp(-log));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = [(x + 0.5) / width, (y + 0.5) / height];
      const [px, py] = mapped(toPhoto, u, v);
      const [fx, fy] = [px * photo.width - 0.5, py * photo.height - 0.5];
      const [x0, y0] = [Math.floor(fx), Math.floor(fy)];
      if (!(x0 >= -1 && y0 >= -1 && x0 < photo.width && y0 < photo.height)) continue;
      const even = Math.exp(-falloff(u, v));
      const at = (y * width + x) * 4;
      const corners = [
        [x0, y0, (1 - fx + x0) * (1 - fy + y0)],
        [x0 + 1, y0, (fx - x0) * (1 - fy + y0)],
        [x0, y0 + 1, (1 - fx + x0) * (fy - y0)],
        [x0 + 1, y0 + 1, (fx - x0) * (fy - y0)],
      ];
      let [r, g, b, alpha] = [0, 0, 0, 255];
      for (const [cx, cy, weight] of corners) {
        const from =
          (Math.min(photo.height - 1, Math.max(0, cy)) * photo.width +
            Math.min(photo.width - 1, Math.max(0, cx))) *
          4;
        if (data[from + 3] < OPAQUE) alpha = 0;
        r += weight * LINEAR_OF_BYTE[data[from]];
        g += weight * LINEAR_OF_BYTE[data[from + 1]];
        b += weight * LINEAR_OF_BYTE[data[from + 2]];
      }
      out.data[at] = byteOfLinear(r * base[0] * even);
      out.data[at + 1] = byteOfLinear(g * base[1] * even);
      out.data[at + 2] = byteOfLinear(b * base[2] * even);
      out.data[at + 3] = alpha;
    }
  return out;
}
