import type { Oklab } from '../colour/oklab';
import type { Picture } from '../picture/picture';
import { colourHistogram } from '../picture/colour-histogram';
import { MIN_SWATCHES, MAX_SWATCHES } from './extract';
import { growPalette } from './grow';
import { leanWeights } from './lean';
import { samplesOf } from './samples';

/** Another colour that brings the mean down by less than this part of it stops helping. */
const HELPS = 0.07;
/** A mean CIEDE2000 that nobody sees. */
const UNSEEN = 1;

export interface CountSuggestion {
  /** Mean CIEDE2000 between the picture and a palette of 1, 2, … colours by area; shorter where the picture has fewer. */
  means: number[];
  /** How many colours to take: where adding one more stops helping. */
  suggested: number;
}

/** How much each colour more helps, and where that stops. Throws a RangeError when no pixel is opaque. */
export function suggestCount(picture: Picture, keep: readonly Oklab[] = []): CountSuggestion {
  const histogram = colourHistogram(picture);
  const samples = samplesOf(histogram, leanWeights(histogram, 'area'));
  const means: number[] = [];
  for (const { owners, centres } of growPalette(samples, keep, MAX_SWATCHES, {
    accents: [],
    cost: () => 0,
  }))
    means[centres.count - 1] = owners.mean;
  return { means: Array.from(means, (mean) => mean ?? NaN), suggested: whereItStops(means) };
}

/** The least count after which no colour more helps, up to the last of two in a row that do not. */
export function whereItStops(means: readonly (number | undefined)[]): number {
  for (let count = MIN_SWATCHES; count < means.length; count++) {
    const mean = means[count - 1];
    if (mean === undefined) continue;
    if (mean < UNSEEN) return count;
    const next = means.slice(count, count + 2);
    let before = mean;
    const helps = next.some((one) => {
      const isHelp = one !== undefined && before - one >= HELPS * before;
      before = one ?? before;
      return isHelp;
    });
    if (!helps) return count;
  }
  return Math.max(MIN_SWATCHES, means.length);
}
