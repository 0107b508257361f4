import type { Oklab } from '@/core/colour/oklab';
import { ciede2000 } from '@/core/colour/ciede2000';
import { labFromOklab } from '@/core/colour/cielab';
import type { MediumRecipe } from '@/core/mixing/medium-recipe';
import { capital, count, several } from '@/ui/words';

/** Two colours within this CIEDE2000 are near enough for a study. */
const NEAR = 4;

/** How many colours of a palette something can lay: "Six of eight colours are near what ten pencils can lay." */
export function nearSentence(
  swatches: readonly { colour: Oklab }[],
  recipes: readonly (readonly MediumRecipe[])[],
  of: string,
): string {
  const near = swatches.filter(({ colour }, i) => {
    const best = recipes[i]?.[0];
    return best && ciede2000(labFromOklab(colour), labFromOklab(best.colour)) <= NEAR;
  }).length;
  const is = near === 1 ? 'is' : 'are';
  return `${capital(count(near))} of ${several(swatches.length, 'colour')} ${is} near what ${of} can lay`;
}
