import { byteOfLinear, LINEAR_OF_BYTE } from '../colour/srgb';
import { OPAQUE, pictureOf, type Picture } from './picture';

/** A picture at another size: means of linear light of the pixels that each new one covers, the nearest where it grows. */
export function resizedPicture(picture: Picture, width: number, height: number): Picture {
  if (picture.width === width && picture.height === height) return picture;
  const { data } = picture;
  const out = pictureOf(width, height, new Uint8ClampedArray(width * height * 4));
  const columns = startsOf(picture.width, width);
  const rows = startsOf(picture.height, height);
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      let [r, g, b, n] = [0, 0, 0, 0];
      // What is grown has less than a pixel to cover, and takes the one it lies in.
      for (let v = rows[y], last = Math.max(v + 1, rows[y + 1]); v < last; v++)
        for (let u = columns[x], end = Math.max(u + 1, columns[x + 1]); u < end; u++) {
          const from = (v * picture.width + u) * 4;
          if (data[from + 3] < OPAQUE) continue;
          r += LINEAR_OF_BYTE[data[from]];
          g += LINEAR_OF_BYTE[data[from + 1]];
          b += LINEAR_OF_BYTE[data[from + 2]];
          n++;
        }
      if (n === 0) continue;
      out.data[at] = byteOfLinear(r / n);
      out.data[at + 1] = byteOfLinear(g / n);
      out.data[at + 2] = byteOfLinear(b / n);
      out.data[at + 3] = 255;
    }
  return out;
}

/** Where each of `to` parts of `from` pixels begins, and the end. */
const startsOf = (from: number, to: number): Int32Array =>
  Int32Array.from({ length: to + 1 }, (_, i) => Math.floor((i * from) / to));
