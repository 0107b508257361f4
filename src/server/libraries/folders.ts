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

/** Lays libraries into a folder, or out of any. */
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

/** Puts a library right before another in the person's own order; at the end of all without one. */
export async function placeBefore(id: string, before: string | null): Promise<void> {
  const db = await database();
  await db.transaction(async (tx) => {
    // Places are set anew one apart: two between which all room is used up would stand as one.
    const order = await tx
      .select({ id: library.id, place: library.place })
      .from(library)
      .where(isNull(library.deletedAt))
      .orderBy(asc(library.place), sql`${library.updatedAt} desc`, sql`${library.id} desc`);
    const moved = order.find((row) => row.id === id);
    if (!moved) throw notFound('library');
    const rest = order.filter((row) => row !== moved);
    const at = before === null ? rest.length : rest.findIndex((row) => row.id === before);
    rest.splice(at < 0 ? rest.length : at, 0, moved);
    const list = JSON.stringify(
      rest.flatMap((row, place) => (row.place === place ? [] : [[row.id, place]])),
    );
    await tx.execute(sql`
      update library set place = (entry->>1)::float8
      from jsonb_array_elements(${list}::jsonb) as entry where library.id = (entry->>0)::uuid`);
  });
}

export async function setFavourite(id: string, favourite: boolean): Promise<void> {
  const db = await database();
  const changed = await db
    .update(library)
    .set({ favourite })
    .where(eq(library.id, id))
    .returning({ id: library.id });
  if (changed.length === 0) throw notFound('library');
}
