import type { Homography } from '../raster/homography';
import type { Grid } from './value-grid';

/** The model's longer side against what would fill the photograph, from the largest placement that is tried to the least. */
const LARGEST = 1.12;
const SMALLEST = 0.3;
const STEP = 1.09;
/** Of the model so much has to lie in the photograph. */
const MIN_INSIDE = 0.6;
/** Placements nearer than this share of the photograph's longer side are one. */
const ONE_PLACE = 0.06;

export interface Placement {
  toPhoto: Homography;
  score: number;
}

/**
 * Upright placements of a model in a photograph, the likeliest first: at every size and place the correlation of their
 * gradients. Both are small grids of local contrast.
 */
export function likelyPlacements(model: Grid, photo: Grid, count: number): Placement[] {
  const found: (Placement & { x: number; y: number; scale: number })[] = [];
  const field = gradients(photo);
  const fill = Math.min(photo.width / model.width, photo.height / model.height);
  for (let scale = fill * LARGEST; scale >= fill * SMALLEST; scale /= STEP) {
    const own = gradients(resized(model, scale));
    const { width, height } = own;
    const spareX = Math.round((1 - MIN_INSIDE) * width);
    const spareY = Math.round((1 - MIN_INSIDE) * height);
    for (let y = -spareY; y <= photo.height - height + spareY; y++)
      for (let x = -spareX; x <= photo.width - width + spareX; x++) {
        const score = correlation(own, field, x, y);
        if (score > 0)
          found.push({
            score,
            x,
            y,
            scale,
            toPhoto: [scale, 0, x + (scale - 1) / 2, 0, scale, y + (scale - 1) / 2, 0, 0, 1],
          });
      }
  }
  found.sort((one, other) => other.score - one.score);
  const apart = ONE_PLACE * Math.max(photo.width, photo.height);
  const kept: typeof found = [];
  for (const one of found) {
    if (kept.length === count) break;
    const middle = ({ x, y, scale }: (typeof found)[number]) =>
      [x + (scale * model.width) / 2, y + (scale * model.height) / 2] as const;
    const [mx, my] = middle(one);
    const isNew = kept.every((other) => {
      const [ox, oy] = middle(other);
      const sizes = Math.abs(one.scale - other.scale) * Math.max(model.width, model.height);
      return Math.hypot(mx - ox, my - oy) + sizes > apart;
    });
    if (isNew) kept.push(one);
  }
  return kept;
}

interface Gradients {
  width: number;
  height: number;
  x: Float32Array;
  y: Float32Array;
  /** The square of its size. */
  square: Float32Array;
  mask: Uint8Array;
}

function gradients({ width, height, data, mask }: Grid): Gradients {
  const gx = new Float32Array(width * height);
  const gy = new Float32Array(width * height);
  const square = new Float32Array(width * height);
  const there = new Uint8Array(width * height);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const c = y * width + x;
      if (!mask[c - 1] || !mask[c + 1] || !mask[c - width] || !mask[c + width]) continue;
      const [dx, dy] = [data[c + 1] - data[c - 1], data[c + width] - data[c - width]];
      // A strong edge, as of the paper on the table, counts little more than a middling one.
      const size = 1 / (0.5 + Math.hypot(dx, dy));
      gx[c] = dx * size;
      gy[c] = dy * size;
      square[c] = gx[c] * gx[c] + gy[c] * gy[c];
      there[c] = 1;
    }
  return { width, height, x: gx, y: gy, square, mask: there };
}

/** Correlation of two fields of gradients where the first is laid on the second, by how much of the first is there. */
function correlation(own: Gradients, field: Gradients, left: number, top: number): number {
  let both = 0;
  let ofOwn = 0;
  let ofField = 0;
  let n = 0;
  const x0 = Math.max(0, -left);
  const x1 = Math.min(own.width, field.width - left);
  const y0 = Math.max(0, -top);
  const y1 = Math.min(own.height, field.height - top);
  for (let y = y0; y < y1; y++) {
    // Where there is no gradient it is 0.
    const toField = (y + top) * field.width + left - y * own.width;
    for (let c = y * own.width + x0, end = y * own.width + x1; c < end; c++) {
      const d = c + toField;
      both += own.x[c] * field.x[d] + own.y[c] * field.y[d];
      ofOwn += own.square[c] * field.mask[d];
      ofField += field.square[d] * own.mask[c];
      n += own.mask[c] * field.mask[d];
    }
  }
  if (n < MIN_INSIDE * own.width * own.height * 0.8 || ofOwn === 0 || ofField === 0) return -1;
  return both / Math.sqrt(ofOwn * ofField);
}

/** A grid at another size: means of what each cell covers, or between cells where it grows. */
function resized(grid: Grid, scale: number): Grid {
  const width = Math.max(3, Math.round(grid.width * scale));
  const height = Math.max(3, Math.round(grid.height * scale));
  const data = new Float32Array(width * height);
  const mask = new Uint8Array(width * height).fill(1);
  const samples = Math.max(1, Math.ceil(1 / scale));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let [sum, n] = [0, 0];
      for (let j = 0; j < samples; j++)
        for (let i = 0; i < samples; i++) {
          const u = Math.floor(((x + (i + 0.5) / samples) * grid.width) / width);
          const v = Math.floor(((y + (j + 0.5) / samples) * grid.height) / height);
          const at = v * grid.width + u;
          if (!grid.mask[at]) continue;
          sum += grid.data[at];
          n++;
        }
      const c = y * width + x;
      if (n > 0) data[c] = sum / n;
      else mask[c] = 0;
    }
  return { width, height, data, mask };
}
