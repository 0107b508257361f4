import { familyOf, type Wheel } from '@/core/colour/wheel';
import { oklchFromOklab, type Oklab } from '@/core/colour/oklab';
import type { ValueScale } from '@/core/colour/value-scale';
import { missBetween } from '@/core/mixing/miss';
import type { RecipeStep } from '@/core/mixing/recipe-steps';
import type { Route } from '@/core/mixing/route';
import { list, stepWords } from '@/ui/words';

/** Less than this is not worth a word: Munsell steps, units of temperature, OKLCH chroma. */
const WORTH = { value: 0.15, warmth: 0.1, chroma: 0.01 };
/** So much more is clear to anybody. */
const CLEAR = 3;

/** How a mixture misses, as one painter says it to another: "a hair too warm", "0.5 of a step too dark". */
export function missWords(target: Oklab, made: Oklab, scale: ValueScale): string {
  const { value, warmth, chroma } = missBetween(target, made);
  const degree = (amount: number, worth: number) =>
    Math.abs(amount) > CLEAR * worth ? 'clearly' : 'a hair';
  const words = [
    Math.abs(value) >= WORTH.value &&
      `${stepWords(value, scale)} too ${value > 0 ? 'light' : 'dark'}`,
    Math.abs(warmth) >= WORTH.warmth &&
      `${degree(warmth, WORTH.warmth)} too ${warmth > 0 ? 'warm' : 'cool'}`,
    Math.abs(chroma) >= WORTH.chroma &&
      `${degree(chroma, WORTH.chroma)} too ${chroma > 0 ? 'strong' : 'dull'}`,
  ].filter((word) => word !== false);
  return words.length > 0 ? list(words) : 'as near as makes no odds';
}

const FRACTIONS: Readonly<Record<number, string>> = {
  0.05: '1⁄20',
  0.1: '1⁄10',
  0.25: '¼',
  0.5: '½',
};

/** An amount as it is measured out. */
export function partWords(parts: number): string {
  return FRACTIONS[parts] ?? String(Math.round(parts * 100) / 100);
}

/** A recipe in a line: "6 Titanium white · 2 Yellow ochre · ½ Ultramarine blue". */
export function recipeWords(parts: readonly { name: string; parts: number }[]): string {
  return parts.map(({ name, parts: amount }) => `${partWords(amount)} ${name}`).join(' · ');
}

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

const HARDLY = 'hardly anything';

/** How one colour differs from what it was: "0.4 of a step darker, cooler and duller". */
export function changeBetween(before: Oklab, after: Oklab, scale: ValueScale): string {
  const { value, warmth, chroma } = missBetween(before, after);
  const words = [
    Math.abs(value) >= WORTH.value &&
      `${stepWords(value, scale)} ${value > 0 ? 'lighter' : 'darker'}`,
    Math.abs(warmth) >= WORTH.warmth && (warmth > 0 ? 'warmer' : 'cooler'),
    Math.abs(chroma) >= WORTH.chroma && (chroma > 0 ? 'stronger' : 'duller'),
  ].filter((word) => word !== false);
  return words.length > 0 ? list(words) : HARDLY;
}

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
