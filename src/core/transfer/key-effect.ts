import { NEUTRAL_CHROMA } from '../colour/intensity';
import { oklchFromOklab } from '../colour/oklab';
import type { Wheel } from '../colour/wheel';
import { colourHistogram } from '../picture/colour-histogram';
import type { Picture } from '../picture/picture';
import { degreesOff, schemeArcs, type KeySettings } from './one-key';

/** How far a picture's colours stand from a key's scheme before and after: mean degrees (OKLCH) by area and chroma. */
export interface KeyEffect {
  off: [before: number, after: number];
}

export function keyEffect(
  before: Picture,
  after: Picture,
  settings: KeySettings,
  wheel: Wheel,
): KeyEffect {
  const arcs = schemeArcs(settings, wheel);
  const offOf = (picture: Picture) => {
    const { share, oklab } = colourHistogram(picture);
    let [sum, all] = [0, 0];
    for (let k = 0; k < share.length; k++) {
      const [L, a, b] = oklab.subarray(k * 3, k * 3 + 3);
      const { C, h } = oklchFromOklab({ L, a, b });
      if (C < NEUTRAL_CHROMA) continue;
      all += share[k] * C;
      sum += share[k] * C * degreesOff(h, arcs);
    }
    return all > 0 ? sum / all : 0;
  };
  return { off: [offOf(before), offOf(after)] };
}
