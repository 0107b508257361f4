import {
  INTENSITY_WORDS,
  intensityWord,
  NEUTRAL_CHROMA,
  type IntensityWord,
} from '../colour/intensity';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { familyOf, type Wheel } from '../colour/wheel';

/** What a person says of a colour before its reading is shown. */
export interface ThreeAnswers {
  /** As numbered on the wheel. */
  family: number;
  /** Munsell value, 0–10. */
  value: number;
  intensity: IntensityWord;
}

export interface ThreeScores {
  /** Families between the guess and the colour, 0–6; null for a neutral, which has none. */
  familyOff: number | null;
  /** Munsell steps, above 0 where the guess is too light. */
  valueOff: number;
  /** Words, above 0 where the guess is too strong. */
  intensityOff: number;
  /** 0–100, each question an equal part of it. */
  score: number;
}

/** So far off, nothing is left of a question's points: a quarter of the wheel, three steps of value, three words. */
const FAMILY_LOST = 3;
const VALUE_LOST = 3;
const INTENSITY_LOST = 3;
/** Nearer than this, in Munsell steps, a value is right: people can't tell it better beside an easel. */
const VALUE_RIGHT = 0.25;

/** How near the guess of a colour's family, value and intensity comes. */
export function scoreThree(colour: Oklab, guess: ThreeAnswers, wheel: Wheel): ThreeScores {
  const { C } = oklchFromOklab(colour);
  const count = wheel.families.length;
  const away = Math.abs(guess.family - familyOf(colour, wheel).index);
  const familyOff = C < NEUTRAL_CHROMA ? null : Math.min(away, count - away);
  const valueOff = guess.value - valueOfOklab(colour);
  const intensityOff =
    INTENSITY_WORDS.indexOf(guess.intensity) - INTENSITY_WORDS.indexOf(intensityWord(C));
  const parts = [
    ...(familyOff === null ? [] : [left(familyOff, FAMILY_LOST)]),
    left(Math.max(0, Math.abs(valueOff) - VALUE_RIGHT), VALUE_LOST),
    left(Math.abs(intensityOff), INTENSITY_LOST),
  ];
  const score = (100 * parts.reduce((sum, part) => sum + part, 0)) / parts.length;
  return { familyOff, valueOff, intensityOff, score };
}

function left(off: number, lost: number): number {
  return Math.max(0, 1 - off / lost);
}
