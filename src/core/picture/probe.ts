import { ciede2000Of } from '../colour/ciede2000';
import { writeLab } from '../colour/cielab';
import { oklabFromLinear, type Oklab } from '../colour/oklab';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import type { Place } from './framing';
import { OPAQUE, type Picture } from './picture';

/** The reading of a round area. */
export interface Probe {
  /** The mean in OKLab of the area's pixels. */
  colour: Oklab;
  /** Mean CIEDE2000 between the pixels and that mean. */
  spread: number;
  /** How many pixels it was taken from. */
  pixels: number;
}

/** More pixels than this say nothing new about an average; a regular subset is read instead. */
const MAX_PIXELS = 4000;

/**
 * Where in a picture's data the pixels are whose centres lie within `radius` of a place, a regular
 * subset where they are many; the one pixel under the place where the circle holds no centre.
 * `place` in fractions of the picture, `radius` a share of its diagonal. Null where everything is
 * transparent or outside.
 */
export function pixelsWithin(picture: Picture, place: Place, radius: number): number[] | null {
  const { width, height, data } = picture;
  const cx = place.x * width;
  const cy = place.y * height;
  const reach = radius * Math.hypot(width, height);
  const stride = Math.max(1, Math.ceil(Math.sqrt((Math.PI * reach * reach) / MAX_PIXELS)));
  const found: number[] = [];
  const top = Math.max(0, Math.ceil(cy - reach - 0.5));
  const bottom = Math.min(height - 1, Math.floor(cy + reach - 0.5));
  const left = Math.max(0, Math.ceil(cx - reach - 0.5));
  const right = Math.min(width - 1, Math.floor(cx + reach - 0.5));
  for (let y = top; y <= bottom; y += stride) {
    for (let x = left; x <= right; x += stride) {
      const inside = (x + 0.5 - cx) ** 2 + (y + 0.5 - cy) ** 2 <= reach * reach;
      const i = (y * width + x) * 4;
      if (inside && data[i + 3] >= OPAQUE) found.push(i);
    }
  }
  if (found.length === 0) {
    const x = Math.floor(cx);
    const y = Math.floor(cy);
    const i = (y * width + x) * 4;
    if (x < 0 || y < 0 || x >= width || y >= height || data[i + 3] < OPAQUE) return null;
    found.push(i);
  }
  return found;
}

/** The average and spread of the pixels within a radius of a place, as `pixelsWithin` takes them. */
export function probe(picture: Picture, place: Place, radius: number): Probe | null {
  const found = pixelsWithin(picture, place, radius);
  return found && { ...summarize(picture.data, found), pixels: found.length };
}

function summarize(data: Uint8ClampedArray, at: readonly number[]): Omit<Probe, 'pixels'> {
  const sum = [0, 0, 0];
  const labSum = [0, 0, 0];
  const labs = new Float64Array(at.length * 3);
  at.forEach((i, k) => {
    const r = LINEAR_OF_BYTE[data[i]];
    const g = LINEAR_OF_BYTE[data[i + 1]];
    const b = LINEAR_OF_BYTE[data[i + 2]];
    // What a person reads off the picture is told exactly, not by the table of cube roots.
    const ok = oklabFromLinear({ r, g, b });
    writeLab(r, g, b, labs, k * 3);
    sum[0] += ok.L;
    sum[1] += ok.a;
    sum[2] += ok.b;
    for (let c = 0; c < 3; c++) labSum[c] += labs[k * 3 + c];
  });
  const n = at.length;
  const [L, a, b] = labSum.map((total) => total / n);
  let difference = 0;
  for (let k = 0; k < labs.length; k += 3)
    difference += ciede2000Of(labs[k], labs[k + 1], labs[k + 2], L, a, b);
  return { colour: { L: sum[0] / n, a: sum[1] / n, b: sum[2] / n }, spread: difference / n };
}
