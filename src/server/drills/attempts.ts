import { count, eq, sql, type SQL } from 'drizzle-orm';
import { wheelOf } from '@/core/colour/wheel';
import { scoreThree } from '@/core/drills/three-questions';
import type { Attempt, GuessRecord } from '@/contracts/attempt';
import { database } from '../db/client';
import { attempt } from '../db/schema';
import { getStudy } from '../studies/studies';

export const THREE_QUESTIONS = 'three questions';

/** Keeps a guess with its score; the same one twice is kept once. Throws not-found for a study that isn't there. */
export async function keepAttempt({ id, studyId, colour, guess }: Attempt): Promise<GuessRecord> {
  await getStudy(studyId);
  const scores = scoreThree(colour, guess, wheelOf(guess.wheel));
  const db = await database();
  await db
    .insert(attempt)
    .values({ id, drill: THREE_QUESTIONS, studyId, colour, guess, ...scores })
    .onConflictDoNothing();
  return guessRecord();
}

/** How the guesses have gone so far. */
export async function guessRecord(): Promise<GuessRecord> {
  const db = await database();
  const mean = (of: SQL) => sql<number | null>`(avg(${of}))::float8`;
  const [row] = await db
    .select({
      count: count(),
      right: sql<number>`(count(*) filter (where ${attempt.familyOff} = 0))::int`,
      of: count(attempt.familyOff),
      valueOff: mean(sql`abs(${attempt.valueOff})`),
      valueLean: mean(sql`${attempt.valueOff}`),
      intensityLean: mean(sql`${attempt.intensityOff}`),
      score: mean(sql`${attempt.score}`),
    })
    .from(attempt)
    .where(eq(attempt.drill, THREE_QUESTIONS));
  const { right, of, ...rest } = row;
  return { ...rest, families: { right, of } };
}
