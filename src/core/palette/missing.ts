import { oklabFromLab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import type { Place } from '../picture/framing';
import type { Picture } from '../picture/picture';
import { allSamples, mapByBin, colourHistogram } from '../picture/colour-histogram';
import { assign, centresOf } from './centres';
import { growPalette } from './grow';
import { representativePoints } from './representative-points';
import { labAt, samplesOf } from './samples';

/** From this CIEDE2000 on a palette fails a colour: nobody would take the one for the other. */
export const FAILS = 6;
const MAX_MISSING = 4;
/** Less of the picture than this is not worth a swatch. */
const MIN_MISSING = 0.002;

export interface Missing {
  colour: Oklab;
  /** Of the picture, 0–1. */
  share: number;
  point: Place | null;
  /** Mean CIEDE2000 to the nearest swatch. */
  difference: number;
}

export interface Fit {
  /** Mean CIEDE2000 between picture and palette. */
  mean: number;
  /** Share of the picture that the palette fails. */
  failed: number;
  /** For each colour the share of the picture that it holds: what is within `FAILS` of it, and nearest to it. */
  shares: number[];
  /** What is missing most, the largest first. */
  missing: Missing[];
}

/** How well a palette holds a picture, and which colours it fails. Throws a RangeError for no colours. */
export function readFit(picture: Picture, colours: readonly Oklab[]): Fit {
  if (colours.length === 0) throw new RangeError('no colours to hold the picture against');
  const histogram = colourHistogram(picture);
  const held = assign(allSamples(histogram), centresOf(colours, colours.length));
  const { difference, mean } = held;
  const shares = colours.map(() => 0);
  histogram.share.forEach((share, k) => {
    if (difference[k] <= FAILS) shares[held.owner[k]] += share;
  });
  const weights = histogram.share.map((share, k) => (difference[k] > FAILS ? share : 0));
  const failed = weights.reduce((sum, weight) => sum + weight, 0);
  if (failed < MIN_MISSING) return { mean, failed, shares, missing: [] };

  const samples = samplesOf(histogram, weights);
  let palette = null;
  for (const refined of growPalette(samples, [], MAX_MISSING, { accents: [], cost: () => 0 }))
    palette = refined;
  const centres = palette?.centres;
  if (!centres) return { mean, failed, shares, missing: [] };
  const found = Array.from({ length: centres.count }, (_, c) =>
    oklabFromLab(labAt(centres.lab, c)),
  );
  const { owner } = assign(allSamples(histogram), centresOf(found, found.length));
  const own = owner.map((centre, k) => (weights[k] > 0 ? centre : found.length));
  const places = representativePoints(picture, histogram, own, found.length + 1);
  const missing = found.map((colour, c): Missing => {
    let share = 0;
    let sum = 0;
    for (let k = 0; k < weights.length; k++) {
      if (own[k] !== c) continue;
      share += weights[k];
      sum += weights[k] * difference[k];
    }
    return { colour, share, point: places[c], difference: share > 0 ? sum / share : 0 };
  });
  return {
    mean,
    failed,
    shares,
    missing: missing
      .filter(({ share }) => share >= MIN_MISSING)
      .sort((one, other) => other.share - one.share),
  };
}

/** For each pixel 1 where a palette fails it, 0 where it holds, 255 where it is transparent. */
export function failureMap(picture: Picture, colours: readonly Oklab[]): Uint8Array {
  const histogram = colourHistogram(picture);
  const { difference } = assign(allSamples(histogram), centresOf(colours, colours.length));
  return mapByBin(picture, histogram, (k) => (difference[k] > FAILS ? 1 : 0));
}
