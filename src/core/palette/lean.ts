import type { ColourHistogram } from '../picture/colour-histogram';

/** What an extraction is to look at most. */
export const LEANS = ['balanced', 'area', 'accents', 'lights', 'darks', 'quiet', 'strong'] as const;
export type Lean = (typeof LEANS)[number];

/** Half of the picture is lights, half darks; half is strong, half quiet. */
const HALF = 0.5;

/** How much each cell counts under a lean: its share, or nothing where the lean leaves it out. */
export function leanWeights({ share, lab, oklab }: ColourHistogram, lean: Lean): Float64Array {
  const chroma = (k: number) => Math.hypot(oklab[k * 3 + 1], oklab[k * 3 + 2]);
  const lightness = (k: number) => lab[k * 3];
  switch (lean) {
    case 'lights':
      return beyond(share, lightness, 1);
    case 'darks':
      return beyond(share, lightness, -1);
    case 'strong':
      return beyond(share, chroma, 1);
    case 'quiet':
      return beyond(share, chroma, -1);
    default:
      return share.slice();
  }
}

/** The shares of the half of the picture that a measure puts highest (1) or lowest (−1); never nothing. */
function beyond(share: Float64Array, of: (k: number) => number, way: 1 | -1): Float64Array {
  const order = Array.from(share.keys()).sort((i, j) => way * (of(j) - of(i)) || i - j);
  const weights = new Float64Array(share.length);
  let before = 0;
  let last = NaN;
  for (const k of order) {
    // Colours that measure the same are all in or all out.
    if (before >= HALF && of(k) !== last) break;
    weights[k] = share[k];
    before += share[k];
    last = of(k);
  }
  return weights;
}
