import type { Picture } from '../../src/core/picture/picture';
import { smoothed } from '../../src/core/compare/scale-steps';
import { naturalEdges } from '../../src/core/measure/thresholds';
import { luminance } from '../../src/core/colour/srgb';
import { luminanceOfValue, quickValueOfLuminance } from '../../src/core/colour/value';
import { chance } from '../painter/chance';
import { photographedStudy, shifted, type Light } from '../painter/photographed-study';
import { photography, slightShift } from './study-pairs';

export const GROWN = ['dark', 'light', 'none'] as const;
export type Grown = (typeof GROWN)[number];

/** A model and the photograph of a study in which the darks or the lights have grown over what lies beside them. */
export interface ProportionPair {
  model: Picture;
  photo: Picture;
  /** By how much of the picture they have grown at the squint, at least. */
  grown: number;
}

const BINS = 200;
/** What stands for the squint, of the longer side. */
const SQUINT = 0.01;
/** Of the picture: the least and the most that a zone grows by. */
const MIN_GROWTH = 0.08;
const MAX_GROWTH = 0.14;

export function proportionPair(model: Picture, kind: Grown, seed: number): ProportionPair {
  const random = chance(seed * 53 + model.data[4000] * 17 + 3);
  const light = shifted(model, slightShift(random), []);
  const wanted = kind === 'none' ? 0 : MIN_GROWTH + (MAX_GROWTH - MIN_GROWTH) * random();
  const { picture: photo } = photographedStudy(
    kind === 'none' ? light : withGrown(light, kind, wanted),
    photography(seed, model.width / model.height),
  );
  return { model, photo, grown: wanted };
}

/** With a zone grown, at the squint, by rings of pixels that take its mean value, their hues kept. */
function withGrown({ width, height, light }: Light, kind: 'dark' | 'light', wanted: number): Light {
  const data = Float32Array.from({ length: width * height }, (_, p) =>
    quickValueOfLuminance(luminance(light[p * 3], light[p * 3 + 1], light[p * 3 + 2])),
  );
  const mask = new Uint8Array(data.length).fill(1);
  const squint = () => smoothed({ width, height, data, mask }, SQUINT * Math.max(width, height));
  const squinted = squint();
  const counts = new Float64Array(BINS);
  for (const value of squinted) counts[binOf(value)]++;
  const [low, high] = naturalEdges(counts, 3);
  const isOf = (value: number) => (kind === 'dark' ? binOf(value) < low : binOf(value) >= high);
  const shareOf = (values: Float32Array) =>
    values.reduce((n, value) => n + (isOf(value) ? 1 : 0), 0) / values.length;
  const own = squinted.filter(isOf);
  const mean = own.reduce((sum, value) => sum + value, 0) / own.length;
  const before = shareOf(squinted);
  const zone = Uint8Array.from(squinted, (value) => (isOf(value) ? 1 : 0));
  const out = Float32Array.from(light);
  let rim = Array.from(zone, (there, p) => (there ? p : -1)).filter((p) => p >= 0);
  while (rim.length > 0 && shareOf(squint()) - before < wanted) {
    const ring: number[] = [];
    for (const p of rim)
      for (const to of [p - 1, p + 1, p - width, p + width]) {
        const isBeside = Math.abs((to % width) - (p % width)) <= 1;
        if (to < 0 || to >= data.length || !isBeside || zone[to]) continue;
        zone[to] = 1;
        ring.push(to);
        const times = luminanceOfValue(mean) / Math.max(1e-4, luminanceOfValue(data[to]));
        for (let k = 0; k < 3; k++) out[to * 3 + k] = Math.min(1, light[to * 3 + k] * times);
        data[to] = mean;
      }
    rim = ring;
  }
  return { width, height, light: out };
}

const binOf = (value: number) => Math.min(BINS - 1, Math.max(0, Math.floor((value / 10) * BINS)));
