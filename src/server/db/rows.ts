import type { SQL } from 'drizzle-orm';
import { database } from './client';
import type { Database } from './open';

/** Rows of a query of our own, on either kind of server; within a transaction where one is given. */
export async function rows<T extends object>(
  query: SQL,
  within?: Pick<Database, 'execute'>,
): Promise<T[]> {
  const db = within ?? (await database());
  return ((await db.execute(query)) as unknown as { rows: T[] }).rows;
}
