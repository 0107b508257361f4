import { withValue } from '../colour/at-value';
import { INTENSITY_LIMITS, INTENSITY_WORDS, NEUTRAL_CHROMA } from '../colour/intensity';
import type { Oklab } from '../colour/oklab';
import { wheelPosition, type Wheel } from '../colour/wheel';
import type { Tube } from '../mixing/tube';
import { lightness } from './kinds/lightness';
import { nearestWith } from './kinds/pile';
import { chromaOf, turnedBy, withChroma } from './making';
import type { Answer, Question } from './question';

/** What a colour is in the truth: the one that was shown, the right one, the one answered, or another that wasn't. */
export type TruthRole = 'shown' | 'right' | 'answered' | 'another';

/** What is laid edge to edge once a question is answered. */
export interface Truth {
  /** Empty where an answer is no colour, as a scheme. */
  patches: readonly { role: TruthRole; colour: Oklab }[];
  /** Whether they are shown stronger than they are, since near grey two families can't be told apart. */
  isStrengthened: boolean;
  /** Whether it hangs on value: then their greys show it. */
  hasGreys: boolean;
}

/** What is too near to grey to tell families apart is shown at this chroma. */
const STRENGTHENED = 0.1;
const MAX_STRONG = 0.24;
/** Beyond these a value leaves no room for any colour. */
const VALUES = [0.1, 9.9] as const;

/** The colours that answer a question, beside those that were answered. `tubes` are those that it was made with. */
export function truthOf(
  question: Question,
  answer: Answer,
  wheel: Wheel,
  tubes?: readonly Tube[],
): Truth {
  const { form, about, shown, kind } = question;
  const row = shown.as === 'row' ? shown.colours : [];
  const choice = answer.by === 'choice' ? answer.choice : -1;
  const right = 'right' in form ? form.right[0] : -1;
  const isRight = 'right' in form && form.right.includes(choice);
  const truth = (
    patches: readonly (readonly [TruthRole, Oklab | null | undefined])[],
    hasGreys = false,
  ): Truth => ({
    patches: patches.flatMap(([role, colour]) => (colour ? [{ role, colour }] : [])),
    isStrengthened: false,
    hasGreys,
  });
  switch (form.by) {
    case 'value': {
      const said =
        answer.by === 'value' ? Math.min(VALUES[1], Math.max(VALUES[0], answer.value)) : null;
      return truth(
        [
          ['right', about],
          ['answered', said === null ? null : withValue(about, said)],
        ],
        true,
      );
    }
    case 'match':
      return truth([
        ['right', form.colour],
        ['answered', answer.by === 'match' ? answer.colour : null],
      ]);
    case 'order':
      return truth(
        form.order.map((place) => ['right', row[place]] as const),
        true,
      );
    case 'colour':
      return truth(
        [
          ['shown', about],
          ['right', form.colours[right]],
          ['answered', isRight ? null : form.colours[choice]],
        ],
        true,
      );
    case 'place':
      return truth(
        [
          ['right', row[right]],
          // Where the right one was chosen, one of the others shows what it was told from.
          isRight ? ['another', row[(right + 1) % row.length]] : ['answered', row[choice]],
        ],
        kind === lightness.id,
      );
    case 'word': {
      const said = form.words[choice];
      if (shown.as === 'pile')
        return truth([
          ['right', shown.wanted],
          ['answered', nearestWith(shown, said, tubes)],
        ]);
      if (shown.as === 'in a ground') return truth([['shown', shown.colour]]);
      if (INTENSITY_WORDS.some((word) => word === form.words[right]))
        return truth([
          ['right', about],
          ['answered', isRight ? null : withIntensity(about, said)],
        ]);
      return wheel.families.includes(form.words[right])
        ? ofFamilies(about, isRight ? null : said, wheel)
        : truth([]);
    }
  }
}

function ofFamilies(about: Oklab, said: string | null, wheel: Wheel): Truth {
  const isStrengthened = chromaOf(about) < NEUTRAL_CHROMA;
  const right = isStrengthened ? withChroma(about, STRENGTHENED) : about;
  const own = Math.round(wheelPosition(wheel.hueOf(about), wheel));
  return {
    patches: [
      { role: 'right', colour: right },
      ...(said === null
        ? []
        : [
            {
              role: 'answered' as const,
              colour: turnedBy(wheel, right, wheel.families.indexOf(said) - own),
            },
          ]),
    ],
    isStrengthened,
    hasGreys: false,
  };
}

/** As strong as the middle of what a word means. */
function withIntensity(colour: Oklab, word: string): Oklab {
  const i = INTENSITY_WORDS.findIndex((one) => one === word);
  return withChroma(
    colour,
    ([0, ...INTENSITY_LIMITS][i] + [...INTENSITY_LIMITS, MAX_STRONG][i]) / 2,
  );
}
