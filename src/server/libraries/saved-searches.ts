import { randomUUID } from 'node:crypto';
import { asc, eq } from 'drizzle-orm';
import {
  librarySearchSchema,
  type LibrarySearch,
  type SavedSearch,
} from '@/contracts/library-search';
import { database } from '../db/client';
import { savedSearch } from '../db/library-schema';
import { notFound } from '../errors';

/** Searches that were kept, the oldest first; one that no longer fits its contract is passed over. */
export async function listSearches(): Promise<SavedSearch[]> {
  const db = await database();
  const rows = await db.select().from(savedSearch).orderBy(asc(savedSearch.createdAt));
  return rows.flatMap(({ id, name, search }) => {
    const parsed = librarySearchSchema.safeParse(search);
    return parsed.success ? [{ id, name, search: parsed.data }] : [];
  });
}

export async function keepSearch(
  name: string,
  search: LibrarySearch,
  id: string = randomUUID(),
): Promise<string> {
  const db = await database();
  await db
    .insert(savedSearch)
    .values({ id, name, search })
    .onConflictDoUpdate({ target: savedSearch.id, set: { name, search } });
  return id;
}

export async function forgetSearch(id: string): Promise<void> {
  const db = await database();
  const gone = await db
    .delete(savedSearch)
    .where(eq(savedSearch.id, id))
    .returning({ id: savedSearch.id });
  if (gone.length === 0) throw notFound('search');
}
