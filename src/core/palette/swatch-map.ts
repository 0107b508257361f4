import type { Oklab } from '../colour/oklab';
import type { Picture } from '../picture/picture';
import {
  allSamples,
  mapByBin,
  colourHistogram,
  TRANSPARENT_ENTRY,
} from '../picture/colour-histogram';
import { assign, centresOf } from './centres';

/** Marks a transparent pixel in a map of swatches. */
export const NO_SWATCH = TRANSPARENT_ENTRY;

/** The number of the nearest colour for each pixel, `NO_SWATCH` where it is transparent. */
export function swatchMap(picture: Picture, colours: readonly Oklab[]): Uint8Array {
  const histogram = colourHistogram(picture);
  const { owner } = assign(allSamples(histogram), centresOf(colours, colours.length));
  return mapByBin(picture, histogram, (k) => owner[k]);
}

/** The share of the seen pixels that each of `count` swatches owns. */
export function mapShares(map: Uint8Array, count: number): number[] {
  const counts = new Array<number>(count).fill(0);
  let opaque = 0;
  for (let p = 0; p < map.length; p++) {
    if (map[p] === NO_SWATCH) continue;
    counts[map[p]]++;
    opaque++;
  }
  return counts.map((n) => (opaque ? n / opaque : 0));
}
