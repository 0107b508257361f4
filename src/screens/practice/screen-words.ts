import { DARK_STEPS, LIGHT_STEPS } from '@/core/drills/screen-check';
import type { ValueScale } from '@/core/colour/value-scale';
import { valueWords } from '@/ui/words';
import type { CheckedScreen } from './screen-store';

/** What a screen shows in its room, and what is left out of questions for it. */
export function screenSentence(
  { room, darkest, lightest }: CheckedScreen,
  scale: ValueScale,
): string {
  const isWhole = darkest <= DARK_STEPS[0] && lightest >= LIGHT_STEPS[0];
  const words = (value: number) => valueWords(value, scale);
  return `In a ${room} room this screen shows steps from value ${words(darkest)} to ${words(lightest)}: ${
    isWhole
      ? 'all that was tried could be told apart, and nothing is left out.'
      : 'what is darker or lighter than that is in no question.'
  }`;
}
