import { bytesFromOklab } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import type { Picture } from '../picture/picture';
import { NO_SWATCH, swatchMap } from './swatch-map';

/** The picture redrawn with nothing but a palette: each pixel its nearest swatch. */
export function mappedPicture(picture: Picture, colours: readonly Oklab[]): Picture {
  const map = swatchMap(picture, colours);
  const bytes = colours.map(bytesFromOklab);
  const data = new Uint8ClampedArray(map.length * 4);
  for (let p = 0, i = 0; p < map.length; p++, i += 4) {
    if (map[p] === NO_SWATCH) continue;
    const [r, g, b] = bytes[map[p]];
    data[i] = r;
    data[i + 1] = g;
    data[i + 2] = b;
    data[i + 3] = 255;
  }
  return { width: picture.width, height: picture.height, data };
}
