import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { formatOf } from '@/core/formats/formats';
import {
  FormatError,
  loses,
  type Holding,
  type LibraryFile,
  type LibraryFormat,
} from '@/core/formats/library-file';
import { colourName } from '@/core/colour/name';
import type { Library, LibraryCard, LibraryContent, Swatch } from '@/contracts/library';
import { libraryContentSchema } from '@/contracts/library';
import { randomUUID } from 'node:crypto';
import { database } from '../db/client';
import { library, swatch, tag } from '../db/schema';
import { notFound, ServiceError } from '../errors';

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
  const ids = rows.map((row) => row.id);
  const [swatches, tags] = await contents(ids);
  return rows.map((row) => ({
    ...row,
    updatedAt: row.updatedAt.toISOString(),
    swatches: swatches.get(row.id) ?? [],
    tags: tags.get(row.id) ?? [],
  }));
}

export async function getLibrary(id: string): Promise<Library> {
  const db = await database();
  const [row] = await db
    .select()
    .from(library)
    .where(and(eq(library.id, id), isNull(library.deletedAt)));
  if (!row) throw notFound('library');
  const [swatches, tags] = await contents([id]);
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
  };
}

export async function createLibrary(
  content: LibraryContent,
  studyId: string | null,
  id: string = randomUUID(),
): Promise<{ id: string; revision: number }> {
  const db = await database();
  return db.transaction(async (tx) => {
    const [row] = await tx
      .insert(library)
      .values({ id, name: content.name, note: content.note, revision: 1, studyId })
      .returning({ id: library.id, revision: library.revision });
    await writeContents(tx, row.id, content);
    return row;
  });
}

/** Replaces a library's content, if it still is the revision the change was based on. */
export async function saveLibrary(
  id: string,
  basedOn: number,
  content: LibraryContent,
): Promise<{ id: string; revision: number }> {
  const db = await database();
  const saved = await db.transaction(async (tx) => {
    const [row] = await tx
      .update(library)
      .set({
        name: content.name,
        note: content.note,
        revision: sql`${library.revision} + 1`,
        updatedAt: sql`clock_timestamp()`,
      })
      .where(and(eq(library.id, id), eq(library.revision, basedOn), isNull(library.deletedAt)))
      .returning({ id: library.id, revision: library.revision });
    if (!row) return null;
    await tx.delete(swatch).where(eq(swatch.libraryId, id));
    await tx.delete(tag).where(eq(tag.libraryId, id));
    await writeContents(tx, id, content);
    return row;
  });
  if (saved) return saved;
  throw new ServiceError(
    'newer',
    'This library was changed in another window since you opened it. Nothing was overwritten.',
    409,
    await getLibrary(id),
  );
}

export async function deleteLibrary(id: string): Promise<void> {
  await setDeleted(id, true);
}

export async function restoreLibrary(id: string): Promise<void> {
  await setDeleted(id, false);
}

/** A library as a file of a format. */
export async function carryOut(
  id: string,
  format: LibraryFormat,
): Promise<{ text: string; fileName: string }> {
  const { name, note, tags, swatches } = await getLibrary(id);
  const file: LibraryFile = {
    name,
    note,
    tags,
    swatches: swatches.map(({ id: _, ...rest }) => rest),
  };
  return { text: format.write(file), fileName: `${name}.${format.extension}` };
}

/**
 * Brings a library in from a file and answers what its format could not hold. Throws `bad-file`
 * with the line that is wrong, and stores nothing.
 */
export async function bringInLibrary(
  fileName: string,
  text: string,
): Promise<{ id: string; revision: number; name: string; loses: Holding[] }> {
  const format = formatOf(fileName, text);
  if (!format)
    throw badFile(
      'Neither its name nor what is in it says which format this is. Bring in a .prism.json, .gpl, .tokens.json or .css file, or a text with colours in it.',
    );
  let file: LibraryFile;
  try {
    file = format.read(text);
  } catch (error) {
    if (error instanceof FormatError)
      throw badFile(`${error.message} Mend that line and bring it in again.`);
    throw error;
  }
  if (file.swatches.length === 0) throw badFile('There are no colours in this file.');
  const content = libraryContentSchema.parse({
    name: file.name.trim() || fileName.replace(/(\.prism|\.tokens)?\.[a-z]+$/i, '') || 'Brought in',
    note: file.note,
    tags: file.tags,
    swatches: file.swatches.map((entry) => ({
      ...entry,
      id: randomUUID(),
      name: entry.name.trim() || colourName(entry.colour),
    })),
  });
  return { ...(await createLibrary(content, null)), name: content.name, loses: loses(format) };
}

function badFile(why: string): ServiceError {
  return new ServiceError('bad-file', `${why} Nothing was stored.`, 422);
}

type Writer = Pick<Awaited<ReturnType<typeof database>>, 'insert'>;

async function writeContents(
  tx: Writer,
  libraryId: string,
  content: LibraryContent,
): Promise<void> {
  if (content.swatches.length > 0)
    await tx.insert(swatch).values(
      content.swatches.map(({ id, name, note, colour, share, provenance }, position) => ({
        libraryId,
        id,
        position,
        name,
        note,
        ...colour,
        share,
        provenance,
      })),
    );
  if (content.tags.length > 0)
    await tx
      .insert(tag)
      .values(content.tags.map((name, position) => ({ libraryId, name, position })));
}

async function contents(ids: string[]): Promise<[Map<string, Swatch[]>, Map<string, string[]>]> {
  if (ids.length === 0) return [new Map(), new Map()];
  const db = await database();
  const swatchRows = await db
    .select()
    .from(swatch)
    .where(inArray(swatch.libraryId, ids))
    .orderBy(asc(swatch.position));
  const tagRows = await db
    .select()
    .from(tag)
    .where(inArray(tag.libraryId, ids))
    .orderBy(asc(tag.position));
  const swatches = swatchRows.map(({ libraryId, position: _, L, a, b, ...rest }) => ({
    libraryId,
    entry: { ...rest, colour: { L, a, b } },
  }));
  const tags = tagRows.map(({ libraryId, name }) => ({ libraryId, entry: name }));
  return [grouped(swatches), grouped(tags)];
}

function grouped<T>(rows: { libraryId: string; entry: T }[]): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const { libraryId, entry } of rows) {
    const group = groups.get(libraryId);
    if (group) group.push(entry);
    else groups.set(libraryId, [entry]);
  }
  return groups;
}

async function setDeleted(id: string, deleted: boolean): Promise<void> {
  const db = await database();
  const rows = await db
    .update(library)
    .set({ deletedAt: deleted ? sql`clock_timestamp()` : null })
    .where(eq(library.id, id))
    .returning({ id: library.id });
  if (rows.length === 0) throw notFound('library');
}
