import { writeOklab, type Oklab } from '../colour/oklab';
import { LINEAR_OF_BYTE, toLinear, type Rgb } from '../colour/srgb';
import { HISTOGRAM_BINS, histogramBin } from '../picture/colour-histogram';
import type { Picture } from '../picture/picture';

/** The colours of one group of pixels. */
export interface GroupColour {
  /** How many pixels. */
  pixels: number;
  /** Mean OKLab; null for an empty group. */
  colour: Oklab | null;
  /** Mean OKLCH chroma; 0 for an empty group. */
  chroma: number;
}

/**
 * The mean light (linear sRGB, 0–1) of each group that `map` (an entry a pixel) puts a picture's
 * pixels in, null for an empty one; entries from `groups` on are left out.
 */
export function groupLight({ data }: Picture, map: Uint8Array, groups: number): (Rgb | null)[] {
  const sums = new Float64Array(groups * 3);
  const counts = new Uint32Array(groups);
  for (let p = 0, i = 0; p < map.length; p++, i += 4) {
    const group = map[p];
    if (group >= groups) continue;
    counts[group]++;
    sums[group * 3] += LINEAR_OF_BYTE[data[i]];
    sums[group * 3 + 1] += LINEAR_OF_BYTE[data[i + 1]];
    sums[group * 3 + 2] += LINEAR_OF_BYTE[data[i + 2]];
  }
  return Array.from(counts, (n, group) => {
    const [r, g, b] = sums.subarray(group * 3, group * 3 + 3);
    return n === 0 ? null : { r: r / n, g: g / n, b: b / n };
  });
}

/**
 * A colour histogram of each group that `map` (an entry a pixel) puts a picture's pixels in: for every bin how many
 * pixels it has and the sums of their three channels, group after group; entries from `groups` on are left out.
 */
export function groupHistograms(
  { data }: Picture,
  map: Uint8Array,
  groups: number,
): Uint32Array<ArrayBuffer> {
  // A bin's count and sums stand together, in one line of the processor's memory.
  const sums = new Uint32Array(HISTOGRAM_BINS * groups * 4);
  for (let p = 0, i = 0; p < map.length; p++, i += 4) {
    if (map[p] >= groups) continue;
    const r = data[i];
    const g = data[i + 1];
    const b = data[i + 2];
    const at = (map[p] * HISTOGRAM_BINS + histogramBin(r, g, b)) << 2;
    sums[at]++;
    sums[at + 1] += r;
    sums[at + 2] += g;
    sums[at + 3] += b;
  }
  return sums;
}

/**
 * Mean colours of groups by their histograms. OKLab is worked out for each bin that a group has, not for
 * each pixel: within a bin it is as good as linear.
 */
export function groupColours(sums: Uint32Array, groups: number): GroupColour[] {
  const ok = new Float64Array(3);
  return Array.from({ length: groups }, (_, group) => {
    let pixels = 0;
    let chroma = 0;
    const lab = [0, 0, 0];
    for (let k = group * HISTOGRAM_BINS; k < (group + 1) * HISTOGRAM_BINS; k++) {
      const n = sums[k * 4];
      if (n === 0) continue;
      pixels += n;
      const r = toLinear(sums[k * 4 + 1] / n / 255);
      const g = toLinear(sums[k * 4 + 2] / n / 255);
      const b = toLinear(sums[k * 4 + 3] / n / 255);
      writeOklab(r, g, b, ok, 0);
      for (let c = 0; c < 3; c++) lab[c] += n * ok[c];
      chroma += n * Math.hypot(ok[1], ok[2]);
    }
    if (pixels === 0) return { pixels, colour: null, chroma: 0 };
    const [L, a, b] = lab.map((sum) => sum / pixels);
    return { pixels, colour: { L, a, b }, chroma: chroma / pixels };
  });
}
