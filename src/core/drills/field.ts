import type { ColourParts } from '../measure/colour-parts';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';

/** An area of a made-up picture: its colour and its share, 0–1. */
export interface Area {
  colour: Oklab;
  share: number;
}

/** Areas as a picture's colours are read, so that its measures read a made-up picture too. All of them are in the light. */
export function partsOfAreas(areas: readonly Area[]): ColourParts {
  const all = areas.reduce((sum, { share }) => sum + share, 0);
  const lch = areas.map(({ colour }) => oklchFromOklab(colour));
  return {
    share: Float64Array.from(areas, ({ share }) => share / all),
    side: new Uint8Array(areas.length).fill(1),
    oklab: Float64Array.from(areas.flatMap(({ colour: { L, a, b } }) => [L, a, b])),
    chroma: Float64Array.from(lch, ({ C }) => C),
    hue: Float64Array.from(lch, ({ h }) => h),
    value: Float64Array.from(areas, ({ colour }) => valueOfOklab(colour)),
  };
}
