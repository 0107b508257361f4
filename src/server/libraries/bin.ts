import { addDays, subDays } from 'date-fns';
import { and, desc, eq, isNotNull, lt } from 'drizzle-orm';
import type { BinnedLibrary } from '@/contracts/library';
import { database } from '../db/client';
import { library } from '../db/library-schema';
import { notFound } from '../errors';
import { contentsOf } from './library-rows';

/** What is thrown away can be taken back for this long. */
export const BIN_DAYS = 30;

/** The contents of the bin, the last deleted first. */
export async function listBin(): Promise<BinnedLibrary[]> {
  const db = await database();
  const rows = await db
    .select({ id: library.id, name: library.name, deletedAt: library.deletedAt })
    .from(library)
    .where(isNotNull(library.deletedAt))
    .orderBy(desc(library.deletedAt));
  const { swatches } = await contentsOf(rows.map(({ id }) => id));
  return rows.map(({ id, name, deletedAt }) => {
    const since = deletedAt ?? new Date();
    return {
      id,
      name,
      swatches: swatches.get(id) ?? [],
      deletedAt: since.toISOString(),
      goneAt: addDays(since, BIN_DAYS).toISOString(),
    };
  });
}

/** Throws away for good what has lain in the bin long enough. Answers how many libraries. */
export async function emptyOld(now = new Date()): Promise<number> {
  const db = await database();
  const gone = await db
    .delete(library)
    .where(lt(library.deletedAt, subDays(now, BIN_DAYS)))
    .returning({ id: library.id });
  return gone.length;
}

/** Throws one away for good, if it is in the bin. */
export async function removeForGood(id: string): Promise<void> {
  const db = await database();
  const gone = await db
    .delete(library)
    .where(and(eq(library.id, id), isNotNull(library.deletedAt)))
    .returning({ id: library.id });
  if (gone.length === 0) throw notFound('library');
}
