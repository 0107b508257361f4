import { DRILL_KINDS } from '@/core/drills/kinds';
import { answersOfOffs } from '@/core/drills/misses';
import type { Entry } from '@/core/drills/report';
import { practisedRegion } from '@/core/drills/round';
import type { DrillAnswer, Elsewhere, PracticeRecord } from '@/contracts/practice';

const SKILL_OF = new Map(DRILL_KINDS.map(({ id, skill }) => [id, skill]));

/** An answer of a round as the schedule and the profile take it. */
export function entryOf({ kind, at, about, outcome }: DrillAnswer): Entry {
  const skill = SKILL_OF.get(kind);
  if (skill === undefined) throw new RangeError(`no kind of question is called ${kind}`);
  return {
    at,
    kind,
    skill,
    region: practisedRegion(skill, about),
    isRight: outcome.isRight,
    about,
    // A match by sliders says how two colours are told apart, not how one is read.
    ...(skill === 'value' && outcome.valueOff !== undefined && { valueOff: outcome.valueOff }),
    ...(skill === 'family' && outcome.familyOff !== undefined && { familyOff: outcome.familyOff }),
    ...(skill === 'intensity' &&
      outcome.intensityOff !== undefined && { intensityOff: outcome.intensityOff }),
  };
}

const entriesElsewhere = ({ at, colour, ...offs }: Elsewhere): Entry[] =>
  answersOfOffs(at, colour, offs).map((answer) => ({ ...answer, kind: null, about: colour }));

/** Answers that show how an eye reads: rounds, and guesses on the Desk. Mixtures and studies depend on the hand, too. */
export const readEntries = ({ answers, elsewhere }: PracticeRecord): Entry[] => [
  ...answers.map(entryOf),
  ...elsewhere.filter(({ from }) => from === 'guess').flatMap(entriesElsewhere),
];

/** All that says what comes next: what went wrong in mixtures and in studies, too. */
export const scheduledEntries = ({ answers, elsewhere }: PracticeRecord): Entry[] => [
  ...answers.map(entryOf),
  ...elsewhere.flatMap(entriesElsewhere),
];

/** A record with answers that it may lack, each once. */
export function withAnswers(record: PracticeRecord, more: readonly DrillAnswer[]): PracticeRecord {
  const ids = new Set(record.answers.map(({ id }) => id));
  const missing = more.filter(({ id }) => !ids.has(id) && ids.add(id));
  return missing.length === 0 ? record : { ...record, answers: [...record.answers, ...missing] };
}
