import { NEUTRAL_CHROMA } from '../colour/intensity';
import type { Wheel } from '../colour/wheel';
import { colourHistogram } from '../picture/colour-histogram';
import { oklchFromOklab } from '../colour/oklab';
import type { Picture } from '../picture/picture';
import { schemeArcs, type KeySettings } from './one-key';

/** Of all colour in a picture, by area and chroma, what lies in a key's scheme: before and after, 0–1. */
export interface KeyEffect {
  inside: [before: number, after: number];
}

export function keyEffect(
  before: Picture,
  after: Picture,
  settings: KeySettings,
  wheel: Wheel,
): KeyEffect {
  const arcs = schemeArcs(settings, wheel);
  const insideOf = (picture: Picture) => {
    const { share, oklab } = colourHistogram(picture);
    let [own, all] = [0, 0];
    for (let k = 0; k < share.length; k++) {
      const [L, a, b] = oklab.subarray(k * 3, k * 3 + 3);
      const { C, h } = oklchFromOklab({ L, a, b });
      if (C < NEUTRAL_CHROMA) continue;
      all += share[k] * C;
      // Half a degree is less than a colour's own rounding.
      if (arcs.some(({ from, to }) => (((h - from + 0.5) % 360) + 360) % 360 <= to - from + 1))
        own += share[k] * C;
    }
    return all > 0 ? own / all : 1;
  };
  return { inside: [insideOf(before), insideOf(after)] };
}
