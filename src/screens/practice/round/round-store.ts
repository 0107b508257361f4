import { createStore, type StoreApi } from 'zustand';
import { DRILL_KINDS } from '@/core/drills/kinds';
import type { Answer, Making, Question, Skill } from '@/core/drills/question';
import type { Entry } from '@/core/drills/report';
import { nextQuestion, standingOf, takeAnswer } from '@/core/drills/round';
import { outcomeOf, type Outcome } from '@/core/drills/score';
import { START } from '@/core/drills/staircase';
import { randomFrom } from '@/core/seeded';
import type { DrillAnswer } from '@/contracts/practice';
import { entryOf } from '../record';

export interface Told {
  question: Question;
  answer: Answer;
  outcome: Outcome;
}

export interface RoundState {
  /** Null where nothing can be asked. */
  question: Question | null;
  /** How the question was answered; null until it is. */
  told: Told | null;
  /** All that was answered. */
  done: readonly Told[];
  answer: (answer: Answer) => void;
  next: () => void;
}

export interface RoundOptions {
  /** What was answered before, here and elsewhere. */
  before: readonly Entry[];
  skills: readonly Skill[];
  making: Omit<Making, 'random' | 'difficulty' | 'region'>;
  seed: number;
  now: () => number;
  newId: () => string;
  /** Where each answer goes as soon as it is given. */
  keep: (answer: DrillAnswer) => void;
}

/** A round: a question, its answer and how that came out, one after another. */
export function createRound({
  before,
  skills,
  making,
  seed,
  now,
  newId,
  keep,
}: RoundOptions): StoreApi<RoundState> {
  const random = randomFrom(seed);
  const standing = standingOf(before);
  const round: Entry[] = [];
  const nextOne = () =>
    nextQuestion(standing, making, {
      skills,
      now: now(),
      number: round.length,
      before: round,
      random,
    });
  return createStore<RoundState>((set, get) => ({
    question: nextOne(),
    told: null,
    done: [],
    answer(answer) {
      const { question, told, done } = get();
      if (!question || told) return;
      const outcome = outcomeOf(question, answer, making.wheel);
      const { difficulty } = standing.staircases.get(question.kind) ?? START;
      const kept: DrillAnswer = {
        id: newId(),
        at: now(),
        kind: kindOf(question),
        about: question.about,
        difficulty,
        outcome,
      };
      keep(kept);
      const entry = entryOf(kept);
      round.push(entry);
      takeAnswer(standing, entry);
      const next = { question, answer, outcome };
      set({ told: next, done: [...done, next] });
    },
    next: () => get().told && set({ question: nextOne(), told: null }),
  }));
}

function kindOf({ kind }: Question): string {
  const found = DRILL_KINDS.find(({ id }) => id === kind);
  if (!found) throw new RangeError(`no kind of question is called ${kind}`);
  return found.id;
}
