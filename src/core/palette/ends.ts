import type { Oklab } from '../colour/oklab';
import { colourHistogram } from '../picture/colour-histogram';
import type { Picture } from '../picture/picture';

/** What nearly every palette wants at its ends, beside the colours that are counted. */
export const ENDS = ['true black', 'true white', 'paper white', 'darkest dark'] as const;
export type End = (typeof ENDS)[number];

export const TRUE_BLACK: Oklab = { L: 0, a: 0, b: 0 };
export const TRUE_WHITE: Oklab = { L: 1, a: 0, b: 0 };
/** A touch warm. */
export const PAPER_WHITE: Oklab = { L: 0.965, a: 0.001, b: 0.009 };

/** Of the picture's darkest colours so much, as a share of it: less may be a speck. */
const DARKEST_SHARE = 0.005;

/** The mean of a picture's darkest two hundredth: its own darkest dark. Throws a RangeError where nothing is opaque. */
export function darkestDark(picture: Picture): Oklab {
  const { share, lab, oklab } = colourHistogram(picture);
  const order = Array.from(share.keys()).sort((i, j) => lab[i * 3] - lab[j * 3] || i - j);
  const sum = { L: 0, a: 0, b: 0 };
  let taken = 0;
  for (const k of order) {
    const part = Math.min(share[k], DARKEST_SHARE - taken);
    if (part <= 0) break;
    sum.L += part * oklab[k * 3];
    sum.a += part * oklab[k * 3 + 1];
    sum.b += part * oklab[k * 3 + 2];
    taken += part;
  }
  return { L: sum.L / taken, a: sum.a / taken, b: sum.b / taken };
}
