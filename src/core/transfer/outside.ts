import type { Oklab } from '../colour/oklab';
import { FAILS, readFit, type Missing } from '../palette/missing';
import { allSamples, colourHistogram } from '../picture/colour-histogram';
import { assign, centresOf } from '../palette/centres';
import type { Picture } from '../picture/picture';

/** How a picture keeps to a palette. */
export interface Belonging {
  /** For each colour the share of the picture that is within CIEDE2000 6 of it and nearest to it, 0–1. */
  shares: number[];
  /** Of the picture, what is farther from all of them, 0–1. */
  outside: number;
  /** The colours that crept in, the largest first. */
  strays: Missing[];
}

/** Holds a picture against a palette. Throws a RangeError for no colours. */
export function belongingOf(picture: Picture, colours: readonly Oklab[]): Belonging {
  const { failed, missing } = readFit(picture, colours);
  const histogram = colourHistogram(picture);
  const { owner, difference } = assign(allSamples(histogram), centresOf(colours, colours.length));
  const shares = colours.map(() => 0);
  histogram.share.forEach((share, k) => {
    if (difference[k] <= FAILS) shares[owner[k]] += share;
  });
  return { shares, outside: failed, strays: missing };
}
