import { LINEAR_OF_BYTE, luminance } from '../colour/srgb';
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

/** Linear light of a picture, three floats a cell, each the mean of the pixels it covers. */
export interface LightCells {
  width: number;
  height: number;
  light: Float32Array;
  mask: Uint8Array;
}

/** A picture in cells of mean light, `side` of them along its longer side; as it is where it is smaller. */
export function lightCells({ width, height, data }: Picture, side: number): LightCells {
  const step = Math.max(1, Math.max(width, height) / side);
  const across = Math.max(1, Math.round(width / step));
  const down = Math.max(1, Math.round(height / step));
  const light = new Float32Array(across * down * 3);
  const mask = new Uint8Array(across * down);
  for (let y = 0; y < down; y++) {
    const y0 = Math.floor((y * height) / down);
    const y1 = Math.max(y0 + 1, Math.floor(((y + 1) * height) / down));
    for (let x = 0; x < across; x++) {
      const x0 = Math.floor((x * width) / across);
      const x1 = Math.max(x0 + 1, Math.floor(((x + 1) * width) / across));
      let [r, g, b, n] = [0, 0, 0, 0];
      for (let v = y0; v < y1; v++)
        for (let i = (v * width + x0) * 4, end = (v * width + x1) * 4; i < end; i += 4) {
          if (data[i + 3] < OPAQUE) continue;
          r += LINEAR_OF_BYTE[data[i]];
          g += LINEAR_OF_BYTE[data[i + 1]];
          b += LINEAR_OF_BYTE[data[i + 2]];
          n++;
        }
      if (n === 0) continue;
      const c = y * across + x;
      mask[c] = 1;
      light[c * 3] = r / n;
      light[c * 3 + 1] = g / n;
      light[c * 3 + 2] = b / n;
    }
  }
  return { width: across, height: down, light, mask };
}

/** Munsell value of each cell. */
export function valueGrid({ width, height, light, mask }: LightCells): Grid {
  const data = Float32Array.from(mask, (there, c) =>
    there ? quickValueOfLuminance(luminance(light[c * 3], light[c * 3 + 1], light[c * 3 + 2])) : 0,
  );
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
