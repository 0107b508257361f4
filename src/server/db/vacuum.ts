import { sql } from 'drizzle-orm';
import { database } from './client';
import { rows } from './rows';

/** Rows written since the last vacuum from which on another one is worth its time. */
const WORTHWHILE = 500;

let cleanedAt = 0;

/** Rows that were inserted, updated or deleted since the statistics began. */
async function rowsWritten(): Promise<number> {
  // Else what was written in the last second is not counted yet.
  await rows(sql`select pg_stat_force_next_flush()`);
  const [{ written }] = await rows<{ written: string | number | null }>(
    sql`select sum(n_tup_ins + n_tup_upd + n_tup_del) as written from pg_stat_user_tables`,
  );
  return Number(written ?? 0);
}

/**
 * Makes the room of rows that are no longer there free for others, where enough were written since the last time.
 * An embedded PostgreSQL has nobody else who would; a server vacuums by itself. Answers whether it did.
 */
export async function vacuumIfWorthwhile(): Promise<boolean> {
  if (process.env.DATABASE_URL) return false;
  const written = await rowsWritten();
  if (written - cleanedAt < WORTHWHILE) return false;
  const db = await database();
  await db.execute(sql`vacuum (analyze)`);
  // What is in the log is in the tables by then, and its files are used again.
  await db.execute(sql`checkpoint`);
  cleanedAt = written;
  return true;
}
