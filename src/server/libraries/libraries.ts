import { cutText } from '@/core/text';
import { randomUUID } from 'node:crypto';
import { and, desc, eq, inArray, isNull, lt, sql } from 'drizzle-orm';
import type { Library, LibraryCard, LibraryContent, NewLibrary } from '@/contracts/library';
import { database } from '../db/client';
import { library, swatch } from '../db/library-schema';
import { notFound } from '../errors';
import { documentService } from '../documents/document-service';
import type { Writer } from '../documents/revisions';
import { libraryRevisions } from './library-history';
import { contentsOf, writeContents } from './library-rows';
import { INDEX_VERSION } from './swatch-facts';

/** All libraries, the last changed first, with their swatches. */
export async function listLibraries(): Promise<LibraryCard[]> {
  const db = await database();
  const rows = await db
    .select({
      id: library.id,
      name: library.name,
      note: library.note,
      updatedAt: library.updatedAt,
    })
    .from(library)
    .where(isNull(library.deletedAt))
    .orderBy(desc(library.updatedAt), desc(library.id));
  const { swatches, tags } = await contentsOf(rows.map((row) => row.id));
  return rows.map((row) => ({
    ...row,
    updatedAt: row.updatedAt.toISOString(),
    swatches: swatches.get(row.id) ?? [],
    tags: tags.get(row.id) ?? [],
  }));
}

/** How many libraries lie in the bin, and how many swatches all others have. */
export async function countLibraries(): Promise<{
  binned: number;
  libraries: number;
  swatches: number;
}> {
  const db = await database();
  const [libraries] = await db
    .select({
      binned: sql<number>`count(${library.deletedAt})::int`,
      libraries: sql<number>`(count(*) - count(${library.deletedAt}))::int`,
    })
    .from(library);
  const [{ swatches }] = await db
    .select({ swatches: sql<number>`count(*)::int` })
    .from(swatch)
    .innerJoin(library, eq(library.id, swatch.libraryId))
    .where(sql`${library.deletedAt} is null`);
  return { ...libraries, swatches };
}

export async function getLibrary(id: string): Promise<Library> {
  const db = await database();
  const [row] = await db
    .select()
    .from(library)
    .where(and(eq(library.id, id), isNull(library.deletedAt)));
  if (!row) throw notFound('library');
  const { swatches, tags } = await contentsOf([id]);
  return {
    id,
    name: row.name,
    note: row.note,
    revision: row.revision,
    studyId: row.studyId,
    createdAt: row.createdAt.toISOString(),
    updatedAt: row.updatedAt.toISOString(),
    swatches: swatches.get(id) ?? [],
    tags: tags.get(id) ?? [],
    sets: row.sets,
    target: row.target,
  };
}

export async function createLibrary(
  content: LibraryContent,
  studyId: string | null,
  id: string = randomUUID(),
): Promise<{ id: string; revision: number }> {
  const db = await database();
  return db.transaction((tx) => insertLibrary(tx, content, studyId, id));
}

/** A new library in a folder, and perhaps instead of others, which go into the bin. */
export async function addLibrary({
  studyId,
  folderId,
  insteadOf,
  ...content
}: NewLibrary): Promise<{ id: string; revision: number }> {
  const db = await database();
  return db.transaction(async (tx) => {
    const made = await insertLibrary(tx, content, studyId, undefined, folderId);
    if (insteadOf.length > 0)
      await tx
        .update(library)
        .set({ deletedAt: sql`clock_timestamp()` })
        .where(inArray(library.id, insteadOf));
    return made;
  });
}

/** A new library as part of a transaction; it stands first in the person's own order. */
export async function insertLibrary(
  tx: Writer,
  content: LibraryContent,
  studyId: string | null,
  id: string = randomUUID(),
  folderId: string | null = null,
): Promise<{ id: string; revision: number }> {
  const [row] = await tx
    .insert(library)
    .values({
      id,
      name: content.name,
      note: content.note,
      sets: content.sets,
      target: content.target,
      revision: 1,
      studyId,
      folderId,
      place: sql`(select coalesce(min(place), 0) - 1 from library)`,
    })
    .returning({ id: library.id, revision: library.revision });
  await writeContents(tx, row.id, content);
  await libraryRevisions.keep(tx, row.id, row.revision, content);
  return row;
}

const documents = documentService<LibraryContent>({
  what: 'library',
  table: library,
  revisions: libraryRevisions,
  async write(tx, id, basedOn, content) {
    const [row] = await tx
      .update(library)
      .set({
        name: content.name,
        note: content.note,
        sets: content.sets,
        target: content.target,
        revision: sql`${library.revision} + 1`,
        updatedAt: sql`clock_timestamp()`,
      })
      .where(and(eq(library.id, id), eq(library.revision, basedOn), isNull(library.deletedAt)))
      .returning({ revision: library.revision, updatedAt: library.updatedAt });
    if (row) await writeContents(tx, id, content);
    return row ?? null;
  },
  newest: getLibrary,
});

/** Saves a library as `DocumentService.save` does. */
export async function saveLibrary(
  id: string,
  basedOn: number,
  content: LibraryContent,
): Promise<{ id: string; revision: number }> {
  const { revision } = await documents.save(id, basedOn, content);
  return { id, revision };
}

/** A library of the same content beside it, in the same folder. */
export async function duplicateLibrary(id: string): Promise<{ id: string; revision: number }> {
  const { name, note, tags, swatches, sets, target, studyId } = await getLibrary(id);
  const db = await database();
  const [{ folderId }] = await db
    .select({ folderId: library.folderId })
    .from(library)
    .where(eq(library.id, id));
  const content = { name: copyName(name), note, tags, swatches, sets, target };
  return db.transaction((tx) => insertLibrary(tx, content, studyId, undefined, folderId));
}

const COPY = ', copy';

function copyName(name: string): string {
  const start = cutText(name, 200 - COPY.length);
  return `${start}${COPY}`;
}

/** Into the bin, or out of it. */
export const deleteLibrary = documents.remove;
export const restoreLibrary = documents.restore;

/** Rows written before what they are found by, or by an older version, get it now. */
export async function indexStale(): Promise<number> {
  const db = await database();
  const stale = await db
    .select({
      id: library.id,
      name: library.name,
      note: library.note,
      sets: library.sets,
      target: library.target,
      revision: library.revision,
    })
    .from(library)
    .where(lt(library.indexed, INDEX_VERSION));
  for (const { id, revision, ...said } of stale) {
    const { swatches, tags } = await contentsOf([id]);
    const content = { ...said, swatches: swatches.get(id) ?? [], tags: tags.get(id) ?? [] };
    await db.transaction(async (tx) => {
      // Facts beside the colours may be of an older version: every row is written anew.
      await tx.delete(swatch).where(eq(swatch.libraryId, id));
      await writeContents(tx, id, content);
      await libraryRevisions.begin(tx, id, revision, content);
    });
  }
  return stale.length;
}
