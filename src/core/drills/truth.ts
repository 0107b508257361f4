import { withValue } from '../colour/at-value';
import { INTENSITY_LIMITS, INTENSITY_WORDS, NEUTRAL_CHROMA } from '../colour/intensity';
import type { Oklab } from '../colour/oklab';
import { wheelPosition, type Wheel } from '../colour/wheel';
import type { Tube } from '../mixing/tube';
import { nearestWith } from './kinds/pile';
import { chromaOf, turnedBy, withChroma } from './making';
import type { Answer, Question } from './question';

/** The two colours that are laid edge to edge once a question is answered. */
export interface Truth {
  right: Oklab;
  /** The colour that the answer says; null where it says none, or the right one. */
  answered: Oklab | null;
  /** Whether both are shown stronger than they are, since near grey two families can't be told apart. */
  isStrengthened: boolean;
}

/** What is too near to grey to tell families apart is shown at this chroma. */
const STRENGTHENED = 0.1;
const MAX_STRONG = 0.24;

/**
 * What was right, beside what was answered; null where an answer is no one colour, as an order or a scheme. `tubes` are those
 * that the question was made with.
 */
export function truthOf(
  question: Question,
  answer: Answer,
  wheel: Wheel,
  tubes?: readonly Tube[],
): Truth | null {
  const { form, shown, about } = question;
  const plain = (right: Oklab, answered: Oklab | null): Truth => ({
    right,
    answered,
    isStrengthened: false,
  });
  if (form.by === 'value' && answer.by === 'value')
    return plain(about, withValue(about, Math.min(9.9, Math.max(0.1, answer.value))));
  if (form.by === 'match' && answer.by === 'match') return plain(form.colour, answer.colour);
  if (answer.by !== 'choice') return null;
  const isRight = 'right' in form && form.right.includes(answer.choice);
  if (form.by === 'colour')
    return plain(
      form.colours[form.right[0]],
      isRight ? null : (form.colours.at(answer.choice) ?? null),
    );
  if (form.by === 'place' && shown.as === 'row')
    return plain(
      shown.colours[form.right[0]],
      shown.colours.at(isRight ? (form.right[0] + 1) % shown.colours.length : answer.choice) ??
        null,
    );
  // What a grey reads as is seen in its ground alone.
  if (form.by !== 'word' || shown.as === 'in a ground') return null;
  const [right, said] = [form.words[form.right[0]], form.words[answer.choice]];
  if (INTENSITY_WORDS.some((word) => word === right))
    return plain(about, isRight ? null : withChroma(about, middleChroma(said)));
  if (wheel.families.includes(right)) return ofFamilies(question, isRight ? null : said, wheel);
  return shown.as === 'pile' ? plain(shown.wanted, nearestWith(shown, said, tubes)) : null;
}

function ofFamilies({ about }: Question, said: string | null, wheel: Wheel): Truth {
  const isStrengthened = chromaOf(about) < NEUTRAL_CHROMA;
  const right = isStrengthened ? withChroma(about, STRENGTHENED) : about;
  const turn =
    said === null
      ? 0
      : wheel.families.indexOf(said) - Math.round(wheelPosition(wheel.hueOf(about), wheel));
  return { right, answered: said === null ? null : turnedBy(wheel, right, turn), isStrengthened };
}

/** The chroma in the middle of what an intensity's word means. */
function middleChroma(word: string): number {
  const i = INTENSITY_WORDS.findIndex((one) => one === word);
  return ([0, ...INTENSITY_LIMITS][i] + [...INTENSITY_LIMITS, MAX_STRONG][i]) / 2;
}
