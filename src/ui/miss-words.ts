import type { Oklab } from '@/core/colour/oklab';
import type { ValueScale } from '@/core/colour/value-scale';
import { missBetween } from '@/core/mixing/miss';
import { list, stepWords } from './words';

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

/** What a change is called that nobody sees. */
export const HARDLY = 'hardly anything';

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
