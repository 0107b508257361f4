import type { Masses } from '../measure/masses';
import type { Picture } from '../picture/picture';
import type { Distance, MassDepth } from './depth-marks';

/** How much of the haze lies over what is how far away, and its level in sRGB. */
const HAZE: Record<Distance, number> = { near: 0, middle: 0.45, far: 0.8 };
const HAZE_LEVEL = 225;

/** The picture with a haze over it by distance: a map of what is taken to lie how far away. */
export function hazePicture(
  { width, height, data }: Picture,
  { grid, labels }: Masses,
  depths: readonly MassDepth[],
): Picture {
  const shares = depths.map(({ distance }) => HAZE[distance]);
  const out = new Uint8ClampedArray(data);
  for (let y = 0, i = 0; y < height; y++) {
    const row = Math.floor((y / height) * grid.down) * grid.width;
    for (let x = 0; x < width; x++, i += 4) {
      const mass = labels[row + Math.floor((x / width) * grid.across)];
      if (mass < 0) continue;
      const share = shares[mass];
      for (let k = i; k < i + 3; k++) out[k] += (HAZE_LEVEL - out[k]) * share;
    }
  }
  return { width, height, data: out };
}
