import { BLUE_LUMINANCE, GREEN_LUMINANCE, LINEAR_OF_BYTE, RED_LUMINANCE } from '../colour/srgb';
import { quickValueOfLuminance } from '../colour/value';
import { OPAQUE, type Picture } from '../picture/picture';
import { boxSums } from '../raster/box-sums';

/** One number a cell, and 1 where there is one. */
export interface Grid {
  width: number;
  height: number;
  data: Float32Array;
  mask: Uint8Array;
}

/** Relative luminance of each pixel of a picture that is opaque; it is read in many grids. */
export interface LuminancePlane {
  width: number;
  height: number;
  data: Float32Array;
  /** 1 where a pixel is opaque. */
  mask: Uint8Array;
}

const luminanceTable = (share: number) =>
  Float32Array.from(LINEAR_OF_BYTE, (light) => share * light);
const [OF_RED, OF_GREEN, OF_BLUE] = [RED_LUMINANCE, GREEN_LUMINANCE, BLUE_LUMINANCE].map(
  luminanceTable,
);

export function luminancePlane({ width, height, data: rgba }: Picture): LuminancePlane {
  const data = new Float32Array(width * height);
  const mask = new Uint8Array(width * height);
  for (let p = 0, i = 0; p < data.length; p++, i += 4) {
    if (rgba[i + 3] < OPAQUE) continue;
    data[p] = OF_RED[rgba[i]] + OF_GREEN[rgba[i + 1]] + OF_BLUE[rgba[i + 2]];
    mask[p] = 1;
  }
  return { width, height, data, mask };
}

/** At half the size: means of the opaque pixels of each two by two. */
export function halvedPlane(plane: LuminancePlane): LuminancePlane {
  const width = Math.ceil(plane.width / 2);
  const height = Math.ceil(plane.height / 2);
  const data = new Float32Array(width * height);
  const mask = new Uint8Array(width * height);
  for (let y = 0, p = 0; y < height; y++)
    for (let x = 0; x < width; x++, p++) {
      const at = 2 * y * plane.width + 2 * x;
      const toRight = 2 * x + 1 < plane.width ? 1 : 0;
      const below = 2 * y + 1 < plane.height ? plane.width : 0;
      const [a, b, c, d] = [at, at + toRight, at + below, at + below + toRight];
      const n = plane.mask[a] + plane.mask[b] + plane.mask[c] + plane.mask[d];
      if (n === 0) continue;
      // Where one isn't opaque there is 0; at an odd edge a pixel counts twice.
      data[p] = (plane.data[a] + plane.data[b] + plane.data[c] + plane.data[d]) / n;
      mask[p] = 1;
    }
  return { width, height, data, mask };
}

/** Munsell value of a picture in cells of mean light, `side` of them along its longer side; as it is where it is smaller. */
export function valueGrid(plane: LuminancePlane, side: number): Grid {
  const step = Math.max(1, Math.max(plane.width, plane.height) / side);
  const width = Math.max(1, Math.round(plane.width / step));
  const height = Math.max(1, Math.round(plane.height / step));
  const data = new Float32Array(width * height);
  const mask = new Uint8Array(width * height);
  for (let y = 0, c = 0; y < height; y++) {
    const y0 = Math.floor((y * plane.height) / height);
    const y1 = Math.max(y0 + 1, Math.floor(((y + 1) * plane.height) / height));
    for (let x = 0; x < width; x++, c++) {
      const x0 = Math.floor((x * plane.width) / width);
      const x1 = Math.max(x0 + 1, Math.floor(((x + 1) * plane.width) / width));
      let sum = 0;
      let n = 0;
      for (let v = y0; v < y1; v++)
        for (let p = v * plane.width + x0, end = v * plane.width + x1; p < end; p++) {
          sum += plane.data[p];
          n += plane.mask[p];
        }
      if (n === 0) continue;
      data[c] = quickValueOfLuminance(sum / n);
      mask[c] = 1;
    }
  }
  return { width, height, data, mask };
}

/** Spread of value, in Munsell steps, below which nothing is made of differences: they are noise. */
const MIN_SPREAD = 0.35;

/**
 * What each cell is against its surroundings, in units of their spread: neither the light that falls on a picture nor
 * its contrast change it. `reach` is the half side of the surroundings, in cells.
 */
export function localContrast({ width, height, data, mask }: Grid, reach: number): Grid {
  const cells = width * height;
  const sums = new Float64Array(cells * 3);
  for (let c = 0; c < cells; c++) {
    if (!mask[c]) continue;
    sums[c * 3] = 1;
    sums[c * 3 + 1] = data[c];
    sums[c * 3 + 2] = data[c] * data[c];
  }
  boxSums(sums, width, height, 3, reach);
  boxSums(sums, width, height, 3, reach);
  const out = new Float32Array(cells);
  for (let c = 0; c < cells; c++) {
    if (!mask[c]) continue;
    const mean = sums[c * 3 + 1] / sums[c * 3];
    const variance = Math.max(0, sums[c * 3 + 2] / sums[c * 3] - mean * mean);
    out[c] = (data[c] - mean) / Math.sqrt(variance + MIN_SPREAD * MIN_SPREAD);
  }
  return { width, height, data: out, mask };
}
