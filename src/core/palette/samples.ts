import type { ColourHistogram } from '../picture/colour-histogram';

/**
 * A picture's colours as a palette is searched among: some hundreds of tones, each with how much it
 * weighs. CIELAB is for measuring, DIN99d for telling at once which of several colours is near.
 */
export interface Samples {
  /** Weights that add to 1. */
  weight: Float64Array;
  /** Three floats a tone. */
  lab: Float64Array;
  din: Float64Array;
}

/** More tones than this are gathered: a search costs as many steps as there are tones. */
const MAX_SAMPLES = 1400;
const FIRST_STEP = 1.2;

/**
 * The tones of a picture's cells under weights of their own (any scale; cells with none are left
 * out). Where there are too many, those that fall into the same small cube of DIN99d count as one,
 * at their mean: a thousandth of all colours is nearer than a palette of sixteen ever comes.
 */
export function samplesOf(cells: ColourHistogram, weights: Float64Array): Samples {
  const seen = Array.from(weights.keys()).filter((k) => weights[k] > 0);
  const din = new Float64Array(seen.length * 3);
  seen.forEach((k, i) => din.set(cells.din.subarray(k * 3, k * 3 + 3), i * 3));
  let groups = Int32Array.from(seen.keys());
  let count = seen.length;
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
  const tones: Samples = {
    weight: new Float64Array(count),
    lab: new Float64Array(count * 3),
    din: new Float64Array(count * 3),
  };
  let all = 0;
  for (let i = 0; i < seen.length; i++) {
    const weight = weights[seen[i]];
    const group = groups[i];
    all += weight;
    tones.weight[group] += weight;
    for (let c = 0; c < 3; c++) {
      tones.lab[group * 3 + c] += weight * cells.lab[seen[i] * 3 + c];
      tones.din[group * 3 + c] += weight * din[i * 3 + c];
    }
  }
  for (let group = 0; group < count; group++) {
    for (let c = group * 3; c < group * 3 + 3; c++) {
      tones.lab[c] /= tones.weight[group];
      tones.din[c] /= tones.weight[group];
    }
    tones.weight[group] /= all;
  }
  return tones;
}

export function labAt(lab: Float64Array, k: number) {
  return { L: lab[k * 3], a: lab[k * 3 + 1], b: lab[k * 3 + 2] };
}
