import type { ThreeScores } from '@/core/drills/three-questions';
import type { ValueScale } from '@/core/colour/value-scale';
import type { GuessRecord } from '@/contracts/attempt';
import { capital, several, stepWords } from '@/ui/words';

/** As near as a guess of value need come, Munsell steps. */
const VALUE_RIGHT = 0.25;

/** How near a guess came: "Family right; value one step too light; one word too strong." */
export function guessSentence(scores: ThreeScores, scale: ValueScale): string {
  const { familyOff, valueOff, intensityOff } = scores;
  const parts = [
    familyOff === null
      ? 'a neutral has no family to miss'
      : familyOff === 0
        ? 'the family is right'
        : `${several(familyOff, 'family', 'families')} off`,
    Math.abs(valueOff) <= VALUE_RIGHT
      ? 'the value is right'
      : `${stepWords(valueOff, scale)} too ${valueOff > 0 ? 'light' : 'dark'}`,
    intensityOff === 0
      ? 'the intensity is right'
      : `${several(Math.abs(intensityOff), 'word')} too ${intensityOff > 0 ? 'strong' : 'dull'}`,
  ];
  return `${capital(parts.join('; '))}.`;
}

/** Fewer guesses show no lean. */
const LEANS_FROM = 5;

/** How all guesses went: "12 guesses: family right in 7 of 9, value off by one step, mostly too light." */
export function recordSentence(record: GuessRecord, scale: ValueScale): string {
  const { count, families, valueOff, valueLean, intensityLean } = record;
  if (count === 0 || valueOff === null) return 'No guesses yet.';
  const means = [
    lean(valueLean, VALUE_RIGHT, 'light', 'dark'),
    lean(intensityLean, 0.3, 'strong', 'dull'),
  ].filter((word) => word !== null);
  const parts = [
    families.of > 0 && `family right in ${families.right} of ${families.of}`,
    `value off by ${stepWords(valueOff, scale)}`,
    count >= LEANS_FROM && means.length > 0 && `mostly too ${means.join(' and too ')}`,
  ].filter((part) => part !== false);
  return `${capital(several(count, 'guess', 'guesses'))} so far: ${parts.join(', ')}.`;
}

function lean(by: number | null, least: number, more: string, less: string): string | null {
  if (by === null || Math.abs(by) < least) return null;
  return by > 0 ? more : less;
}
