import { byteOfLinear, LINEAR_OF_BYTE } from '../colour/srgb';
import { OPAQUE, pictureOf, type Picture } from './picture';

/** A picture at another size: means of linear light of the pixels that each new one covers, the nearest where it grows. */
export function resizedPicture(picture: Picture, width: number, height: number): Picture {
  if (picture.width === width && picture.height === height) return picture;
  const out = pictureOf(width, height, new Uint8ClampedArray(width * height * 4));
  const spans = (from: number, to: number) =>
    Array.from({ length: to }, (_, i) => {
      const start = Math.min(from - 1, Math.floor((i * from) / to));
      return [start, Math.max(start + 1, Math.floor(((i + 1) * from) / to))] as const;
    });
  const columns = spans(picture.width, width);
  spans(picture.height, height).forEach(([y0, y1], y) =>
    columns.forEach(([x0, x1], x) => {
      let [r, g, b, n] = [0, 0, 0, 0];
      for (let v = y0; v < y1; v++)
        for (let u = x0; u < x1; u++) {
          const at = (v * picture.width + u) * 4;
          if (picture.data[at + 3] < OPAQUE) continue;
          r += LINEAR_OF_BYTE[picture.data[at]];
          g += LINEAR_OF_BYTE[picture.data[at + 1]];
          b += LINEAR_OF_BYTE[picture.data[at + 2]];
          n++;
        }
      if (n === 0) return;
      const at = (y * width + x) * 4;
      out.data.set([byteOfLinear(r / n), byteOfLinear(g / n), byteOfLinear(b / n), 255], at);
    }),
  );
  return out;
}
