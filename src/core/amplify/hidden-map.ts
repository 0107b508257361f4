import { contours } from 'd3-contour';
import { bytesFromOklab } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import type { ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { OPAQUE, type Picture } from '../picture/picture';

/** How much of the paper shows through what is not hidden. */
const PALE = 0.55;
/** Rings smaller than this share of the picture get no outline. */
const SPECK = 0.0008;

/**
 * For each pixel 0, or one more than the number of the region it lies in: of the cells around it the
 * label with the greatest weight, so that rims run smoothly between the cells.
 */
export function regionMap(
  { width, height }: Pick<Picture, 'width' | 'height'>,
  grid: ColourGrid,
  of: Int16Array,
): Uint8Array {
  const map = new Uint8Array(width * height);
  const lastColumn = grid.width - 1;
  const lastRow = grid.height - 1;
  for (let y = 0, p = 0; y < height; y++) {
    const v = Math.min(lastRow, Math.max(0, ((y + 0.5) / height) * grid.down - 0.5));
    const v0 = v | 0;
    const v1 = Math.min(lastRow, v0 + 1);
    const fv = v - v0;
    for (let x = 0; x < width; x++, p++) {
      const u = Math.min(lastColumn, Math.max(0, ((x + 0.5) / width) * grid.across - 0.5));
      const u0 = u | 0;
      const u1 = Math.min(lastColumn, u0 + 1);
      const one = of[v0 * grid.width + u0];
      const two = of[v0 * grid.width + u1];
      const three = of[v1 * grid.width + u0];
      const four = of[v1 * grid.width + u1];
      if (one === two && one === three && one === four) {
        map[p] = one + 1;
        continue;
      }
      const fu = u - u0;
      const weights = [(1 - fu) * (1 - fv), fu * (1 - fv), (1 - fu) * fv, fu * fv];
      const labels = [one, two, three, four];
      let best = one;
      let most = 0;
      for (const label of labels) {
        let sum = 0;
        for (let k = 0; k < 4; k++) if (labels[k] === label) sum += weights[k];
        if (sum > most) {
          most = sum;
          best = label;
        }
      }
      map[p] = best + 1;
    }
  }
  return map;
}

/** A picture (greys of its values, say) gone pale, with each region laid over it flat in its colour. */
export function hiddenMapPicture(
  { width, height, data }: Picture,
  map: Uint8Array,
  colours: readonly Oklab[],
): Picture {
  const flat = colours.map(bytesFromOklab);
  const out = new Uint8ClampedArray(data.length);
  for (let p = 0, i = 0; p < map.length; p++, i += 4) {
    if (data[i + 3] < OPAQUE) continue;
    const region = flat[map[p] - 1] as (typeof flat)[number] | undefined;
    for (let k = 0; k < 3; k++)
      out[i + k] = region ? region[k] : data[i + k] + (255 - data[i + k]) * PALE;
    out[i + 3] = 255;
  }
  return { width, height, data: out };
}

/** The outlines of each region as closed lines, in fractions of the picture. */
export function regionOutlines(grid: ColourGrid, of: Int16Array, regions: number): Place[][][] {
  const { width, height, across, down } = grid;
  const trace = contours().size([width, height]).smooth(true);
  const least = SPECK * across * down;
  return Array.from({ length: regions }, (_, region) => {
    const inside = Array.from(of, (label) => (label === region ? 1 : 0));
    return trace
      .contour(inside, 0.5)
      .coordinates.flatMap((polygon) => polygon)
      .filter((ring) => areaOf(ring) >= least)
      .map((ring) =>
        ring.map(([x, y]) => ({ x: Math.min(1, x / across), y: Math.min(1, y / down) })),
      );
  });
}

function areaOf(ring: readonly number[][]): number {
  let twice = 0;
  for (let i = 0; i + 1 < ring.length; i++)
    twice += ring[i][0] * ring[i + 1][1] - ring[i + 1][0] * ring[i][1];
  return Math.abs(twice) / 2;
}
