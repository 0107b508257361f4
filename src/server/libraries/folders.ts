import { randomUUID } from 'node:crypto';
import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Folder } from '@/contracts/library-search';
import { database } from '../db/client';
import { folder, library } from '../db/library-schema';
import { notFound } from '../errors';

/** Folders in their order, each with how many libraries lie in it. */
export async function listFolders(): Promise<Folder[]> {
  const db = await database();
  return db
    .select({
      id: folder.id,
      name: folder.name,
      count: sql<number>`count(${library.id})::int`,
    })
    .from(folder)
    .leftJoin(library, and(eq(library.folderId, folder.id), isNull(library.deletedAt)))
    .groupBy(folder.id)
    .orderBy(asc(folder.place), asc(folder.name));
}

export async function createFolder(name: string, id: string = randomUUID()): Promise<string> {
  const db = await database();
  await db
    .insert(folder)
    .values({ id, name, place: sql`(select coalesce(max(place), 0) + 1 from folder)` })
    .onConflictDoNothing();
  return id;
}

export async function renameFolder(id: string, name: string): Promise<void> {
  const db = await database();
  const changed = await db
    .update(folder)
    .set({ name })
    .where(eq(folder.id, id))
    .returning({ id: folder.id });
  if (changed.length === 0) throw notFound('folder');
}

/** Takes a folder away and leaves its libraries in none; answers which, so that it can be put back. */
export async function deleteFolder(id: string): Promise<string[]> {
  const db = await database();
  return db.transaction(async (tx) => {
    const loosened = await tx
      .update(library)
      .set({ folderId: null })
      .where(eq(library.folderId, id))
      .returning({ id: library.id });
    const gone = await tx.delete(folder).where(eq(folder.id, id)).returning({ id: folder.id });
    if (gone.length === 0) throw notFound('folder');
    return loosened.map((row) => row.id);
  });
}

/** Moves libraries into a folder, or out of any. */
export async function moveToFolder(ids: readonly string[], folderId: string | null): Promise<void> {
  const db = await database();
  if (folderId !== null) {
    const [there] = await db.select({ id: folder.id }).from(folder).where(eq(folder.id, folderId));
    if (!there) throw notFound('folder');
  }
  await db
    .update(library)
    .set({ folderId })
    .where(inArray(library.id, [...ids]));
}
