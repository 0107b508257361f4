import { contours } from 'd3-contour';
import { bytesFromOklab } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import type { ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { ringArea, smoothPolyline } from '../raster/polylines';
import { OPAQUE, type Picture } from '../picture/picture';
import { boxSums } from '../raster/box-sums';

/** How much of the paper shows through what is not hidden. */
const PALE = 0.55;
/** Rings smaller than this share of the picture get no outline. */
const SPECK = 0.0008;

/** Labels on a finer grid than the one they were found on, with rims that run smoothly. */
export interface FineLabels {
  width: number;
  height: number;
  /** The part of the grid that the picture takes: the last cells may reach beyond it. */
  across: number;
  down: number;
  /** 0, or one more than the number of the region. */
  label: Uint8Array;
}

/** Fine cells along the side of a coarse one. */
const FINER = 4;
/** Cells over which a rim is evened, twice. */
const EVENED = 2;

/** For each fine cell the label with the greatest part in what lies around it; slivers go under. */
export function fineLabels(grid: ColourGrid, of: Int16Array, regions: number): FineLabels {
  const { width, height } = grid;
  const labels = regions + 1;
  const parts = new Float64Array(of.length * labels);
  for (let c = 0; c < of.length; c++) if (grid.mask[c]) parts[c * labels + of[c] + 1] = 1;
  for (let pass = 0; pass < 2; pass++) boxSums(parts, width, height, labels, EVENED);
  const fine = new Uint8Array(width * FINER * height * FINER);
  for (let y = 0, p = 0; y < height * FINER; y++) {
    const v = Math.min(height - 1, Math.max(0, (y + 0.5) / FINER - 0.5));
    const v0 = Math.min(Math.max(0, height - 2), v | 0);
    const below = height > 1 ? width * labels : 0;
    for (let x = 0; x < width * FINER; x++, p++) {
      const u = Math.min(width - 1, Math.max(0, (x + 0.5) / FINER - 0.5));
      const u0 = Math.min(Math.max(0, width - 2), u | 0);
      const right = width > 1 ? labels : 0;
      const fu = u - u0;
      const fv = v - v0;
      const c = (v0 * width + u0) * labels;
      let most = -1;
      for (let k = 0; k < labels; k++) {
        const upper = parts[c + k] * (1 - fu) + parts[c + right + k] * fu;
        const lower = parts[c + below + k] * (1 - fu) + parts[c + below + right + k] * fu;
        const part = upper * (1 - fv) + lower * fv;
        if (part > most) {
          most = part;
          fine[p] = k;
        }
      }
    }
  }
  return {
    width: width * FINER,
    height: height * FINER,
    across: grid.across * FINER,
    down: grid.down * FINER,
    label: fine,
  };
}

/** For each pixel 0, or one more than the number of the region it lies in. */
export function regionMap(
  { width, height }: Pick<Picture, 'width' | 'height'>,
  labels: FineLabels,
): Uint8Array {
  const map = new Uint8Array(width * height);
  for (let y = 0, p = 0; y < height; y++) {
    const row =
      Math.min(labels.height - 1, Math.floor(((y + 0.5) / height) * labels.down)) * labels.width;
    for (let x = 0; x < width; x++, p++)
      map[p] =
        labels.label[
          row + Math.min(labels.width - 1, Math.floor(((x + 0.5) / width) * labels.across))
        ];
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
export function regionOutlines(labels: FineLabels, regions: number): Place[][][] {
  const { width, height, across, down, label } = labels;
  const trace = contours().size([width, height]).smooth(true);
  const least = SPECK * across * down;
  return Array.from({ length: regions }, (_, region) => {
    const inside = Array.from(label, (label) => (label === region + 1 ? 1 : 0));
    return trace
      .contour(inside, 0.5)
      .coordinates.flatMap((polygon) => polygon)
      .filter((ring) => ringArea(ring) >= least)
      .map((ring) =>
        smoothPolyline(
          ring.map(([x, y]) => ({ x: Math.min(1, x / across), y: Math.min(1, y / down) })),
        ),
      );
  });
}
