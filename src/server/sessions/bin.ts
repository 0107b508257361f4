import { addDays, subDays } from 'date-fns';
import { desc, isNotNull, lt } from 'drizzle-orm';
import { readSession } from '@/contracts/session';
import { database } from '../db/client';
import { session } from '../db/session-schema';
import { BIN_DAYS } from '../libraries/bin';

/** Sessions in the bin, the last deleted first. */
export async function listSessionBin() {
  const db = await database();
  const rows = await db
    .select({ id: session.id, content: session.content, deletedAt: session.deletedAt })
    .from(session)
    .where(isNotNull(session.deletedAt))
    .orderBy(desc(session.deletedAt));
  return rows.map(({ id, content, deletedAt }) => ({
    id,
    title: readSession(content).title,
    goneAt: addDays(deletedAt ?? new Date(), BIN_DAYS).toISOString(),
  }));
}

/** Throws away for good what has lain in the bin long enough. Answers how many sessions. */
export async function emptyOldSessions(now = new Date()): Promise<number> {
  const db = await database();
  const gone = await db
    .delete(session)
    .where(lt(session.deletedAt, subDays(now, BIN_DAYS)))
    .returning({ id: session.id });
  return gone.length;
}
