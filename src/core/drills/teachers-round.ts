import type { Wheel } from '../colour/wheel';
import { DRILL_KINDS, questionOf } from './kinds';
import type { Answer, DrillKind, Making, Question } from './question';
import { outcomeOf } from './score';
import { quantileOf } from '../raster/quantile';

/** Questions for a class: the kinds in turn, each made from what it is given; fewer where some can't be made. */
export function roundOf(
  seed: number,
  kinds: readonly DrillKind[],
  making: Omit<Making, 'random' | 'region'>,
  count: number,
): Question[] {
  const questions: Question[] = [];
  // Twice round at most: a kind that finds no colour finds none the next time either.
  for (let i = 0; questions.length < count && i < 2 * count; i++) {
    const question = questionOf(kinds[i % kinds.length], seed + i, making);
    if (question) questions.push(question);
  }
  return questions;
}

/** How a class answered one question; nobody is named. */
export interface Spread {
  answered: number;
  /** Null where it isn't scored. */
  right: number | null;
  /** How often each word, colour or place was chosen; null for a question that isn't answered by choice. */
  chosen: number[] | null;
  /** The quarter, the middle and the three quarters of how far off values were; null for others. */
  valueOff: [number, number, number] | null;
}

/**
 * How a class answered each question of a round; an answer of another form than its question's counts as none.
 * `answers` has one list a person, null where a question was left out.
 */
export function spreadOf(
  questions: readonly Question[],
  answers: readonly (readonly (Answer | null)[])[],
  wheel: Wheel,
): Spread[] {
  return questions.map((question, i) => {
    const own = answers.flatMap((list) => {
      const answer = list[i];
      const outcome = answer && outcomeOrNull(question, answer, wheel);
      return answer && outcome ? [{ answer, outcome }] : [];
    });
    const choices = choicesOf(question);
    const offs = own.flatMap(({ outcome: { valueOff } }) => valueOff ?? []);
    return {
      answered: own.length,
      right: question.isEstimate ? null : own.filter(({ outcome }) => outcome.isRight).length,
      chosen:
        choices === null
          ? null
          : Array.from(
              { length: choices },
              (_, choice) =>
                own.filter(({ answer }) => answer.by === 'choice' && answer.choice === choice)
                  .length,
            ),
      valueOff:
        offs.length === 0
          ? null
          : [
              quantileOf(Float64Array.from(offs), 0.25),
              quantileOf(Float64Array.from(offs), 0.5),
              quantileOf(Float64Array.from(offs), 0.75),
            ],
    };
  });
}

function outcomeOrNull(question: Question, answer: Answer, wheel: Wheel) {
  try {
    return outcomeOf(question, answer, wheel);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/** How many there are to choose from; null for a question that isn't answered by choice. */
function choicesOf({ form, shown }: Question): number | null {
  if (form.by === 'word') return form.words.length;
  if (form.by === 'colour') return form.colours.length;
  return form.by === 'place' && shown.as === 'row' ? shown.colours.length : null;
}

/** All kinds that a class is asked: those of one's own tubes differ from person to person. */
export const CLASS_KINDS = DRILL_KINDS.filter(({ skill }) => skill !== 'mixing');
