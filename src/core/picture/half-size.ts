import { byteOfLinear } from '../colour/srgb';
import type { Blocks } from './blocks';
import type { Picture } from './picture';

/** The picture that blocks make with one pixel each, in mean light: half the size of what they are of. */
export function halfSizePicture({ width, height, rgb, opaque }: Blocks): Picture {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let b = 0, i = 0; b < opaque.length; b++, i += 4) {
    if (opaque[b] === 0) continue;
    for (let k = 0; k < 3; k++) data[i + k] = byteOfLinear(rgb[b * 3 + k] / opaque[b]);
    data[i + 3] = 255;
  }
  return { width, height, data };
}
