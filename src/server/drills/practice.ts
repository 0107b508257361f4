import { asc, eq } from 'drizzle-orm';
import { DRILL_KINDS } from '@/core/drills/kinds';
import { offOfRelation, offsOf } from '@/core/drills/misses';
import type { DrillAnswer, Elsewhere, PracticeRecord } from '@/contracts/practice';
import type { Session } from '@/contracts/session';
import type { ShelfContent } from '@/contracts/shelf';
import { database } from '../db/client';
import { drillAnswer } from '../db/practice-schema';
import { attempt } from '../db/schema';
import { loggedSessions } from '../sessions/sessions';
import { getShelf } from '../shelf/shelf';
import { THREE_QUESTIONS } from './attempts';

/** Keeps answers of a round; one sent twice is kept once. */
export async function keepAnswers(answers: readonly DrillAnswer[]): Promise<void> {
  const db = await database();
  await db
    .insert(drillAnswer)
    .values(
      answers.map(({ about, at, ...answer }) => ({ ...answer, colour: about, at: new Date(at) })),
    )
    .onConflictDoNothing();
}

const KIND_IDS = new Set(DRILL_KINDS.map(({ id }) => id));

/** All that is known of an eye, the oldest answers first. An answer to a kind of question that is asked no more is left out. */
export async function practiceRecord(): Promise<PracticeRecord> {
  const db = await database();
  const rows = await db.select().from(drillAnswer).orderBy(asc(drillAnswer.at));
  const guesses = await db.select().from(attempt).where(eq(attempt.drill, THREE_QUESTIONS));
  const { content } = await getShelf();
  return {
    answers: rows
      .filter(({ kind }) => KIND_IDS.has(kind))
      .map(({ at, colour, ...answer }) => ({ ...answer, at: at.getTime(), about: colour })),
    elsewhere: [
      ...guesses.map(({ madeAt, colour, familyOff, valueOff, intensityOff }): Elsewhere => ({
        at: madeAt.getTime(),
        from: 'guess',
        colour,
        ...{ familyOff, valueOff, intensityOff },
      })),
      ...ofMixtures(content),
      ...(await loggedSessions()).flatMap(ofChecks),
    ],
  };
}

/** Mixtures and layers that were tried for a colour, and came out as another. */
const ofMixtures = ({ tries, patches }: ShelfContent): Elsewhere[] =>
  [
    ...tries.map(({ triedAt, target, result }) => ({ triedAt, target, result })),
    ...patches.map(({ triedAt, target, recipe }) => ({ triedAt, target, result: recipe.colour })),
  ].flatMap(({ triedAt, target, result }) =>
    target && result
      ? [{ at: Date.parse(triedAt), from: 'mixture', colour: target, ...offsOf(target, result) }]
      : [],
  );

/** What the last check of each snapshot found to be off, without what was meant so. */
function ofChecks({ content }: Session): Elsewhere[] {
  const last = new Map(
    content.checks.filter(({ finding }) => finding).map((check) => [check.snapshot, check]),
  );
  return [...last.values()].flatMap(({ at, finding, excused }) =>
    (finding?.relations ?? []).flatMap((relation): Elsewhere[] => {
      const { id, colour } = relation;
      if (!colour || excused.some((one) => one.id === id)) return [];
      return [{ at, from: 'check', colour, ...offOfRelation(colour, relation) }];
    }),
  );
}
