import { familyOf, type Wheel } from '@/core/colour/wheel';
import { oklchFromOklab } from '@/core/colour/oklab';
import type { ValueScale } from '@/core/colour/value-scale';
import type { RecipeStep } from '@/core/mixing/recipe-steps';
import type { Route } from '@/core/mixing/route';
import { changeBetween, HARDLY } from '@/ui/miss-words';

export const ROUTE_TITLES: Readonly<Record<Route, string>> = {
  straight: 'straight',
  complement: 'dulled by its complement',
  earth: 'dulled by an earth',
  grey: 'dulled by a grey of black and white',
  black: 'with black',
};

const RISKS = {
  'strong stainer': 'It takes over at a touch: add a speck, mix, look, then more.',
  chalks: 'White will chalk it: stop before the colour goes flat.',
  hides: 'White hides what glowed: it is no glaze any more.',
};

/** What a step of a recipe does to the pile, and what may go wrong. */
export function stepSentence(
  { before, after, risk }: RecipeStep,
  scale: ValueScale,
  wheel: Wheel,
): string {
  if (before === null) return 'The body of the pile.';
  const [was, is] = [familyOf(before, wheel).name, familyOf(after, wheel).name];
  const turns =
    was !== is && oklchFromOklab(after).C > 0.02 ? `It turns toward ${is}: ` : 'It gets ';
  const change = changeBetween(before, after, scale);
  const does = change === HARDLY ? 'It hardly changes.' : `${turns}${change}.`;
  return risk ? `${does} ${RISKS[risk]}` : does;
}
