import { INTENSITY_WORDS, intensityWord, NEUTRAL_CHROMA } from '../colour/intensity';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { familyOf, PAINTERS_WHEEL } from '../colour/wheel';
import { chromaOf } from './making';
import { regionKey, regionOf } from './region';
import type { Answered } from './schedule';
import type { ThreeScores } from './three-questions';

/** As near as a value need come to count as known, Munsell steps. */
const VALUE_KNOWN = 0.5;

/** A guess of three questions on the Desk, as answers of three skills. */
export function answersOfGuess(
  at: number,
  colour: Oklab,
  { familyOff, valueOff, intensityOff }: Omit<ThreeScores, 'score'>,
): Answered[] {
  const region = regionKey(regionOf(colour));
  return [
    ...(familyOff === null
      ? []
      : [{ at, skill: 'family' as const, region, isRight: familyOff === 0 }]),
    { at, skill: 'value', region, isRight: Math.abs(valueOff) <= VALUE_KNOWN },
    { at, skill: 'intensity', region, isRight: intensityOff === 0 },
  ];
}

/** What was wanted and what came of it, as of a recipe that was mixed: what differs was missed. */
export function answersOfTrial(at: number, wanted: Oklab, got: Oklab): Answered[] {
  const count = PAINTERS_WHEEL.families.length;
  const away = Math.abs(familyOf(wanted).index - familyOf(got).index);
  const hasFamily = chromaOf(wanted) >= NEUTRAL_CHROMA && chromaOf(got) >= NEUTRAL_CHROMA;
  const word = (one: Oklab) => INTENSITY_WORDS.indexOf(intensityWord(chromaOf(one)));
  return answersOfGuess(at, wanted, {
    familyOff: hasFamily ? Math.min(away, count - away) : null,
    valueOff: valueOfOklab(got) - valueOfOklab(wanted),
    intensityOff: word(got) - word(wanted),
  });
}
