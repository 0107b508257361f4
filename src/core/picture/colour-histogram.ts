import { writeLab } from '../colour/cielab';
import { writeDin99d } from '../colour/din99d';
import { writeOklab } from '../colour/oklab';
import { toLinear } from '../colour/srgb';
import { OPAQUE, type Picture } from './picture';

/** A cell holds the pixels that agree in the upper five bits of each channel. */
const BITS = 5;
const DROP = 8 - BITS;
export const HISTOGRAM_BINS = 1 << (3 * BITS);

/** The number (0 to 32767) of the cell that a pixel falls into. */
export function histogramBin(r: number, g: number, b: number): number {
  return ((r >> DROP) << (2 * BITS)) | ((g >> DROP) << BITS) | (b >> DROP);
}

/** The occupied cells of a picture's colours, in rising order of cell number. */
export interface ColourHistogram {
  /** Cell numbers. */
  id: Uint16Array;
  /** Share of the seen pixels, 0–1. */
  share: Float64Array;
  /** Mean colour of each cell's pixels: three floats a cell. */
  oklab: Float64Array;
  lab: Float64Array;
  din: Float64Array;
}

/**
 * Counts a picture's pixels by cell. Only occupied cells are converted, some thousands where there
 * are millions of pixels, which is why extraction costs less than one plain conversion.
 * `within` says for each pixel whether it counts (not 0). Throws a RangeError when no opaque pixel does.
 */
export function colourHistogram({ data }: Picture, within?: Uint8Array): ColourHistogram {
  // A cell's count and sums stand together: one line of the processor's memory, not four. 32 bits
  // hold the sums of sixteen million pixels, ten times the largest working copy.
  const sums = new Uint32Array(HISTOGRAM_BINS * 4);
  let opaque = 0;
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3] < OPAQUE || (within && within[i >> 2] === 0)) continue;
    const r = data[i];
    const g = data[i + 1];
    const b = data[i + 2];
    const at = histogramBin(r, g, b) << 2;
    sums[at]++;
    sums[at + 1] += r;
    sums[at + 2] += g;
    sums[at + 3] += b;
    opaque++;
  }
  if (opaque === 0)
    throw new RangeError('nothing to extract from: no pixel here is opaque, all are transparent');
  let occupied = 0;
  for (let at = 0; at < sums.length; at += 4) if (sums[at] > 0) occupied++;
  const histogram: ColourHistogram = {
    id: new Uint16Array(occupied),
    share: new Float64Array(occupied),
    oklab: new Float64Array(occupied * 3),
    lab: new Float64Array(occupied * 3),
    din: new Float64Array(occupied * 3),
  };
  for (let cell = 0, k = 0; cell < HISTOGRAM_BINS; cell++) {
    const count = sums[cell * 4];
    if (count === 0) continue;
    const r = toLinear(sums[cell * 4 + 1] / count / 255);
    const g = toLinear(sums[cell * 4 + 2] / count / 255);
    const b = toLinear(sums[cell * 4 + 3] / count / 255);
    histogram.id[k] = cell;
    histogram.share[k] = count / opaque;
    writeOklab(r, g, b, histogram.oklab, k * 3);
    writeLab(r, g, b, histogram.lab, k * 3);
    writeDin99d(r, g, b, histogram.din, k * 3);
    k++;
  }
  return histogram;
}

/** Every cell as a tone of its own. */
export function allSamples({ share, lab, din }: ColourHistogram) {
  return { weight: share, lab, din };
}

/** Marks a transparent pixel in a map. */
export const TRANSPARENT_ENTRY = 255;

/** For each pixel what its cell (by its number among the occupied) is given, 255 where it is transparent. */
export function mapByBin(
  { data }: Picture,
  histogram: ColourHistogram,
  given: (k: number) => number,
): Uint8Array {
  const ofCell = new Uint8Array(HISTOGRAM_BINS);
  histogram.id.forEach((id, k) => (ofCell[id] = given(k)));
  const map = new Uint8Array(data.length / 4);
  for (let i = 0, p = 0; p < map.length; i += 4, p++)
    map[p] =
      data[i + 3] < OPAQUE
        ? TRANSPARENT_ENTRY
        : ofCell[histogramBin(data[i], data[i + 1], data[i + 2])];
  return map;
}
