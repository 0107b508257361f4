import { LINEAR_OF_BYTE, luminance } from '../colour/srgb';
import { OPAQUE, type Picture } from '../picture/picture';

/** By how much the lightness of two pictures differs, in L*: the mean, and what 99 of 100 pixels stay under. */
export interface ValueLock {
  mean: number;
  most: number;
}

const STEPS = 400;
const STEP = 0.025;

/** The proof that a push held values still: pixel by pixel the difference of L* before and after. */
export function readValueLock(before: Picture, after: Picture): ValueLock {
  const counts = new Uint32Array(STEPS);
  let sum = 0;
  let opaque = 0;
  const one = before.data;
  const other = after.data;
  for (let i = 0; i < one.length; i += 4) {
    if (one[i + 3] < OPAQUE) continue;
    opaque++;
    if (one[i] === other[i] && one[i + 1] === other[i + 1] && one[i + 2] === other[i + 2]) {
      counts[0]++;
      continue;
    }
    const off = Math.abs(lightness(one, i) - lightness(other, i));
    sum += off;
    counts[Math.min(STEPS - 1, (off / STEP) | 0)]++;
  }
  if (opaque === 0) return { mean: 0, most: 0 };
  let below = 0;
  let most = 0;
  while (most < STEPS && (below += counts[most]) < 0.99 * opaque) most++;
  return { mean: sum / opaque, most: (most + 1) * STEP };
}

/** L* of a pixel. Source: CIE 15:2004. */
function lightness(data: Uint8ClampedArray, i: number): number {
  const Y = luminance(
    LINEAR_OF_BYTE[data[i]],
    LINEAR_OF_BYTE[data[i + 1]],
    LINEAR_OF_BYTE[data[i + 2]],
  );
  return Y > 216 / 24389 ? 116 * Math.cbrt(Y) - 16 : (24389 / 27) * Y;
}
