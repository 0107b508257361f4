import { addDays, subDays } from 'date-fns';
import { desc, isNotNull, lt } from 'drizzle-orm';
import { readPattern } from '@/contracts/pattern';
import { database } from '../db/client';
import { pattern } from '../db/pattern-schema';
import { BIN_DAYS } from '../libraries/bin';

/** Patterns in the bin, the last deleted first. */
export async function listPatternBin() {
  const db = await database();
  const rows = await db
    .select({ id: pattern.id, content: pattern.content, deletedAt: pattern.deletedAt })
    .from(pattern)
    .where(isNotNull(pattern.deletedAt))
    .orderBy(desc(pattern.deletedAt));
  return rows.map(({ id, content, deletedAt }) => ({
    id,
    title: readPattern(content).title,
    goneAt: addDays(deletedAt ?? new Date(), BIN_DAYS).toISOString(),
  }));
}

/** Throws away for good what has lain in the bin long enough. Answers how many patterns. */
export async function emptyOldPatterns(now = new Date()): Promise<number> {
  const db = await database();
  const gone = await db
    .delete(pattern)
    .where(lt(pattern.deletedAt, subDays(now, BIN_DAYS)))
    .returning({ id: pattern.id });
  return gone.length;
}
