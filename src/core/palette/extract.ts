import { oklabFromLab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import type { Place } from '../picture/framing';
import type { Picture } from '../picture/picture';
import { findAccents, type Accent } from './accents';
import { allSamples, colourHistogram, type ColourHistogram } from '../picture/colour-histogram';
import { assign, centresOf, type Clustering } from './centres';
import { growPalette } from './grow';
import { leanWeights, type Lean } from './lean';
import { representativePoints } from './representative-points';
import { labAt, samplesOf } from './samples';

export const MIN_SWATCHES = 2;
export const MAX_SWATCHES = 16;

export interface ExtractedSwatch {
  colour: Oklab;
  /** Share of the picture nearest to this swatch, 0–1. */
  share: number;
  /** Where most of it stands, in fractions of the picture; null where it owns no pixel. */
  point: Place | null;
}

export interface Extraction {
  /** The kept colours first, as they were given; then those found, from dark to light. */
  swatches: ExtractedSwatch[];
  /** Mean CIEDE2000 between the picture and its nearest swatches, over all of the picture whatever the lean. */
  meanDifference: number;
}

export interface ExtractionSettings {
  /** How many colours, 2–16, the kept ones among them. */
  count: number;
  /** Colours that stay as they are. */
  keep?: readonly Oklab[];
  lean?: Lean;
  /** For each pixel whether it is looked at (not 0); left out, all are. */
  within?: Uint8Array;
}

/**
 * A palette of `count` colours, fewer where the picture has fewer; it grows one colour at a time, so
 * that under one lean a larger palette is never further from the picture. Deterministic.
 * Throws a RangeError for a count outside 2–16 or where no opaque pixel is looked at.
 */
export function extractPalette(
  picture: Picture,
  { count, keep = [], lean = 'balanced', within }: ExtractionSettings,
): Extraction {
  if (!Number.isInteger(count) || count < MIN_SWATCHES || count > MAX_SWATCHES)
    throw new RangeError(`${count} colours; ${MIN_SWATCHES} to ${MAX_SWATCHES} can be extracted`);
  const all = colourHistogram(picture);
  const histogram = within ? colourHistogram(picture, within) : all;
  const colours = coloursOf(largestPalette(histogram, count, keep, lean), keep);
  const centres = centresOf(colours, colours.length);
  const { owner, mean } = assign(allSamples(all), centres);
  const places = representativePoints(picture, all, owner, colours.length);
  const shares = new Float64Array(colours.length);
  owner.forEach((swatch, k) => (shares[swatch] += all.share[k]));
  return {
    swatches: colours.map((colour, i) => ({
      colour,
      share: Math.min(1, shares[i]),
      point: places[i],
    })),
    meanDifference: mean,
  };
}

/** The palette of a picture's cells at `count`, or before, where it can grow no further. */
function largestPalette(
  histogram: ColourHistogram,
  count: number,
  keep: readonly Oklab[],
  lean: Lean,
): Clustering {
  const samples = samplesOf(histogram, leanWeights(histogram, lean));
  const most = Math.max(count, keep.length);
  let last: Clustering | null = null;
  for (const refined of growPalette(samples, keep, most, accentPolicy(histogram, lean)))
    last = refined;
  if (!last) throw new RangeError('nothing to extract from');
  return last;
}

/** The accents that are to be kept, and how much they may cost. */
function accentPolicy(
  histogram: ColourHistogram,
  lean: Lean,
): { accents: Accent[]; cost: (count: number) => number } {
  if (lean === 'balanced') return { accents: findAccents(histogram), cost: balancedCost };
  if (lean === 'accents') return { accents: findAccents(histogram), cost: () => Infinity };
  return { accents: [], cost: () => 0 };
}

/** By how much of its mean difference a palette of so many colours may fall behind for an accent. */
const balancedCost = (count: number) => (count <= 3 ? 0 : count <= 5 ? 0.15 : 0.09);

/** The kept colours as they stand, the rest from dark to light. */
function coloursOf({ centres }: Clustering, keep: readonly Oklab[]): Oklab[] {
  const rest = Array.from({ length: centres.count - keep.length }, (_, i) =>
    oklabFromLab(labAt(centres.lab, keep.length + i)),
  );
  rest.sort(
    (one, other) => valueOfOklab(one) - valueOfOklab(other) || one.a - other.a || one.b - other.b,
  );
  return [...keep, ...rest];
}
