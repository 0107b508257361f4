import { LINEAR_OF_BYTE, luminance } from '../colour/srgb';
import { zoneMap } from '../measure/zones';
import { OPAQUE, type Picture } from '../picture/picture';
import { NO_VALUE, valueMap } from '../picture/value-map';

/** How far a picture's values are from another's of the same size. */
export interface HeldValues {
  /** Mean |ΔL*|, and what 99 % are within. */
  mean: number;
  most: number;
  /** Of the picture, what stays in its zone, 0–1. */
  zones: number;
}

/** |ΔL*| is counted in hundredths, up to this. */
const MAX_OFF = 100;
const PER_UNIT = 100;

/** How values hold; `edges` are those of `zoneEdges`. Transparent pixels are left out. */
export function heldValues(before: Picture, after: Picture, edges: readonly number[]): HeldValues {
  const counts = new Uint32Array(MAX_OFF * PER_UNIT + 1);
  let sum = 0;
  let all = 0;
  for (let at = 0; at < before.data.length; at += 4) {
    if (before.data[at + 3] < OPAQUE) continue;
    const off = Math.abs(lightness(before.data, at) - lightness(after.data, at));
    sum += off;
    all++;
    counts[Math.round(off * PER_UNIT)]++;
  }
  const [was, is] = [before, after].map((picture) => zoneMap(valueMap(picture), edges));
  let same = 0;
  for (let pixel = 0; pixel < was.length; pixel++)
    if (was[pixel] !== NO_VALUE && was[pixel] === is[pixel]) same++;
  let most = 0;
  for (let left = 0.01 * all, bin = counts.length - 1; bin >= 0; bin--) {
    left -= counts[bin];
    if (left < 0) {
      most = bin / PER_UNIT;
      break;
    }
  }
  return { mean: sum / Math.max(1, all), most, zones: same / Math.max(1, all) };
}

/** CIE L* of a pixel. */
function lightness(data: Uint8ClampedArray, at: number): number {
  const Y = luminance(
    LINEAR_OF_BYTE[data[at]],
    LINEAR_OF_BYTE[data[at + 1]],
    LINEAR_OF_BYTE[data[at + 2]],
  );
  return Y > 216 / 24389 ? 116 * Math.cbrt(Y) - 16 : (24389 / 27) * Y;
}
