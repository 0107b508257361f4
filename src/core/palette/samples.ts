import type { ColourHistogram } from '../picture/colour-histogram';

/**
 * Weighted colour samples of a picture, some hundreds, that palettes are fitted to. CIELAB is for
 * CIEDE2000, DIN99d for fast nearest-colour tests.
 */
export interface Samples {
  /** Weights that add to 1. */
  weight: Float64Array;
  /** Three floats a sample. */
  lab: Float64Array;
  din: Float64Array;
}

/** More samples than this are merged: the cost of a fit grows with their number. */
const MAX_SAMPLES = 1400;
const FIRST_STEP = 1.2;

/**
 * The bins of a histogram as samples, under weights of their own (any scale; bins without weight are
 * left out). Where there are too many, those in the same small cube of DIN99d are merged at their
 * mean: the cubes are far smaller than the distances between a palette of sixteen and its picture.
 */
export function samplesOf(histogram: ColourHistogram, weights: Float64Array): Samples {
  const weighted = Array.from(weights.keys()).filter((k) => weights[k] > 0);
  const din = new Float64Array(weighted.length * 3);
  weighted.forEach((k, i) => din.set(histogram.din.subarray(k * 3, k * 3 + 3), i * 3));
  let groups = Int32Array.from(weighted.keys());
  let count = weighted.length;
  for (let step = FIRST_STEP; count > MAX_SAMPLES; step *= 1.2) {
    const known = new Map<number, number>();
    groups = groups.map((_, i) => {
      const key =
        (Math.floor(din[i * 3] / step) * 512 + Math.floor(din[i * 3 + 1] / step) + 256) * 512 +
        Math.floor(din[i * 3 + 2] / step) +
        256;
      const group = known.get(key) ?? known.size;
      known.set(key, group);
      return group;
    });
    count = known.size;
  }
  const samples: Samples = {
    weight: new Float64Array(count),
    lab: new Float64Array(count * 3),
    din: new Float64Array(count * 3),
  };
  let all = 0;
  for (let i = 0; i < weighted.length; i++) {
    const weight = weights[weighted[i]];
    const group = groups[i];
    all += weight;
    samples.weight[group] += weight;
    for (let c = 0; c < 3; c++) {
      samples.lab[group * 3 + c] += weight * histogram.lab[weighted[i] * 3 + c];
      samples.din[group * 3 + c] += weight * din[i * 3 + c];
    }
  }
  for (let group = 0; group < count; group++) {
    for (let c = group * 3; c < group * 3 + 3; c++) {
      samples.lab[c] /= samples.weight[group];
      samples.din[c] /= samples.weight[group];
    }
    samples.weight[group] /= all;
  }
  return samples;
}

export function labAt(lab: Float64Array, k: number) {
  return { L: lab[k * 3], a: lab[k * 3 + 1], b: lab[k * 3 + 2] };
}
