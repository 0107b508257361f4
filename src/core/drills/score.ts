import { INTENSITY_WORDS, NEUTRAL_CHROMA } from '../colour/intensity';
import { valueOfOklab } from '../colour/value';
import { wheelPosition, type Wheel } from '../colour/wheel';
import { chromaOf } from './making';
import type { Answer, Form, Question } from './question';

/** How an answer came out, in a painter's units. */
export interface Outcome {
  /** Null for what is only an estimate: that is shown, and not scored. */
  isRight: boolean | null;
  /** Munsell steps, above 0 where the answer is too light. */
  valueOff?: number;
  /** Families between the answer and the colour, 0–6. */
  familyOff?: number;
  /** OKLCH chroma, above 0 where the answer is too strong. */
  chromaOff?: number;
  /** Intensity words, above 0 where the answer is too strong. */
  intensityOff?: number;
  /** Pairs of neighbours that stand the wrong way round. */
  swapped?: number;
}

/** How an answer came out. Throws a RangeError for one of another form than the question's. */
export function outcomeOf({ form, isEstimate }: Question, answer: Answer, wheel: Wheel): Outcome {
  const outcome = plainOutcome(form, answer, wheel);
  return isEstimate ? { ...outcome, isRight: null } : outcome;
}

function plainOutcome(form: Form, answer: Answer, wheel: Wheel): Outcome {
  switch (form.by) {
    case 'word':
    case 'colour':
    case 'place':
      if (answer.by !== 'choice') break;
      return {
        isRight: form.right.includes(answer.choice),
        ...(form.by === 'word' && {
          ...familyOff(form.words, form.right, answer.choice, wheel),
          ...intensityOff(form.words, form.right, answer.choice),
        }),
      };
    case 'value': {
      if (answer.by !== 'value') break;
      const valueOff = answer.value - form.value;
      return { isRight: Math.abs(valueOff) <= form.within, valueOff };
    }
    case 'order': {
      if (answer.by !== 'order' || answer.order.length !== form.order.length) break;
      const rank = new Map(form.order.map((place, i) => [place, i]));
      const ranks = answer.order.map((place) => rank.get(place) ?? NaN);
      if (new Set(ranks).size !== ranks.length || ranks.some(Number.isNaN)) break;
      const swapped = ranks.slice(1).filter((one, i) => one < ranks[i]).length;
      return { isRight: swapped === 0, swapped };
    }
    case 'match': {
      if (answer.by !== 'match') break;
      const { colour, within } = form;
      const valueOff = valueOfOklab(answer.colour) - valueOfOklab(colour);
      const chromaOff = chromaOf(answer.colour) - chromaOf(colour);
      const away = Math.abs(
        wheelPosition(wheel.hueOf(answer.colour), wheel) -
          wheelPosition(wheel.hueOf(colour), wheel),
      );
      const families = Math.min(away, wheel.families.length - away);
      // The hue of a grey is rounding.
      const isHueRight = families <= within.families && chromaOf(answer.colour) >= NEUTRAL_CHROMA;
      return {
        isRight:
          Math.abs(valueOff) <= within.value && Math.abs(chromaOff) <= within.chroma && isHueRight,
        valueOff,
        chromaOff,
        familyOff: families,
      };
    }
  }
  throw new RangeError('an answer of another form');
}

/** Families between what was said and the nearest that is right; nothing where the words are no families. */
function familyOff(
  words: readonly string[],
  right: readonly number[],
  choice: number,
  { families }: Wheel,
): Pick<Outcome, 'familyOff'> {
  const of = (i: number) => families.indexOf(words[i]);
  if (of(choice) < 0 || right.some((i) => of(i) < 0)) return {};
  const away = right.map((i) => Math.abs(of(i) - of(choice)));
  return { familyOff: Math.min(...away.map((off) => Math.min(off, families.length - off))) };
}

/** Words between what was said and what is right; nothing where the words are no intensities. */
function intensityOff(
  words: readonly string[],
  [right]: readonly number[],
  choice: number,
): Pick<Outcome, 'intensityOff'> {
  const of = (i: number) => INTENSITY_WORDS.findIndex((word) => word === words[i]);
  return of(choice) < 0 || of(right) < 0 ? {} : { intensityOff: of(choice) - of(right) };
}
