import { isDeepStrictEqual } from 'node:util';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { LibraryContent, Swatch } from '@/contracts/library';
import { database } from '../db/client';
import { library, swatch, tag } from '../db/library-schema';
import { study } from '../db/schema';
import type { Writer } from '../documents/revisions';
import { INDEX_VERSION, swatchFacts } from './swatch-facts';
import { wordsOf } from './words';

/** Rows in one statement: each takes some twenty parameters, of which PostgreSQL allows 65,535. */
const ROWS_AT_ONCE = 1000;

/** Writes the swatches and tags of a library, as far as they differ from what it has, and what it is found by. */
export async function writeContents(
  tx: Writer,
  libraryId: string,
  content: LibraryContent,
): Promise<void> {
  const words = await indexOwn(tx, libraryId, content);
  await writeSwatches(tx, libraryId, content.swatches, words);
  await indexSwatches(tx, libraryId);
  const tags = (await contentsOf([libraryId], tx)).tags.get(libraryId) ?? [];
  if (!isDeepStrictEqual(tags, content.tags)) {
    await tx.delete(tag).where(eq(tag.libraryId, libraryId));
    if (content.tags.length > 0)
      await tx
        .insert(tag)
        .values(content.tags.map((name, position) => ({ libraryId, name, position })));
  }
}

/** Rows that are as they were stay as they are: a store grows by every row that is written. */
async function writeSwatches(
  tx: Writer,
  libraryId: string,
  swatches: readonly Swatch[],
  libraryWords: readonly string[],
): Promise<void> {
  const had = (await contentsOf([libraryId], tx)).swatches.get(libraryId) ?? [];
  const before = new Map(had.map((one, position) => [one.id, { one, position }]));
  const changed = swatches
    .map((one, position) => ({ one, position }))
    .filter((now) => !isDeepStrictEqual(before.get(now.one.id), now));
  const kept = new Set(swatches.map(({ id }) => id));
  const gone = [
    ...had.filter(({ id }) => !kept.has(id)).map(({ id }) => id),
    ...changed.filter(({ one }) => before.has(one.id)).map(({ one }) => one.id),
  ];
  for (let i = 0; i < gone.length; i += ROWS_AT_ONCE)
    await tx
      .delete(swatch)
      .where(
        and(eq(swatch.libraryId, libraryId), inArray(swatch.id, gone.slice(i, i + ROWS_AT_ONCE))),
      );
  const rows = changed.map(({ one, position }) =>
    swatchRow(libraryId, one, position, libraryWords),
  );
  for (let i = 0; i < rows.length; i += ROWS_AT_ONCE)
    await tx.insert(swatch).values(rows.slice(i, i + ROWS_AT_ONCE));
}

export function swatchRow(
  libraryId: string,
  one: Swatch,
  position: number,
  libraryWords: readonly string[],
) {
  const {
    id,
    name,
    otherNames,
    note,
    role,
    colour,
    share,
    provenance,
    follows,
    change,
    recipe,
    mediumRecipes,
    parts,
  } = one;
  const ownWords = wordsOf(name, ...otherNames, note, role ?? '');
  return {
    libraryId,
    id,
    position,
    name,
    otherNames,
    note,
    role,
    ...colour,
    share,
    provenance,
    follows,
    change,
    recipe,
    mediumRecipes,
    parts,
    ...swatchFacts(colour),
    ownWords,
    words: [...new Set([...ownWords, ...libraryWords])],
  };
}

/** Read loosely: a study that can't be read is no reason not to find its libraries. */
const studyWordsSchema = z.object({
  title: z.string().catch(''),
  maker: z.string().catch(''),
  source: z.string().catch(''),
});

/** What a library is found by: its own words, and the title, maker and source of its study. */
async function searchColumns(
  tx: Pick<Writer, 'select'>,
  libraryId: string,
  { name, note, tags }: Pick<LibraryContent, 'name' | 'note' | 'tags'>,
): Promise<{ maker: string; words: string[] }> {
  const [made] = await tx
    .select({ document: study.document })
    .from(library)
    .innerJoin(study, eq(study.id, library.studyId))
    .where(eq(library.id, libraryId));
  const { title, maker, source } = studyWordsSchema.parse(made?.document ?? {});
  return { maker: maker.trim(), words: wordsOf(name, note, ...tags, title, maker, source) };
}

/** A swatch is found by its library's words as well. */
const swatchWords = (libraryId: string) =>
  sql`${swatch.ownWords} || (select ${library.words} from ${library} where ${library.id} = ${libraryId})`;

/** Writes what a library and its swatches are found by. */
export async function indexLibrary(
  tx: Writer,
  libraryId: string,
  said: Pick<LibraryContent, 'name' | 'note' | 'tags'>,
): Promise<void> {
  await indexOwn(tx, libraryId, said);
  await indexSwatches(tx, libraryId);
}

/** Writes what a library itself is found by, and returns its words. */
async function indexOwn(
  tx: Writer,
  libraryId: string,
  said: Pick<LibraryContent, 'name' | 'note' | 'tags'>,
): Promise<readonly string[]> {
  const found = await searchColumns(tx, libraryId, said);
  await tx
    .update(library)
    .set({ ...found, indexed: INDEX_VERSION })
    .where(eq(library.id, libraryId));
  return found.words;
}

/** Brings the words of swatches up to their library's. */
async function indexSwatches(tx: Writer, libraryId: string): Promise<void> {
  await tx
    .update(swatch)
    .set({ words: swatchWords(libraryId) })
    .where(
      and(
        eq(swatch.libraryId, libraryId),
        sql`${swatch.words} is distinct from ${swatchWords(libraryId)}`,
      ),
    );
}

/** Whether a library and its swatches are found by what they and their study say now. */
export async function isIndexed(
  libraryId: string,
  said: Pick<LibraryContent, 'name' | 'note' | 'tags'>,
): Promise<boolean> {
  const db = await database();
  const { maker, words } = await searchColumns(db, libraryId, said);
  const [own] = await db
    .select({ id: library.id })
    .from(library)
    .where(and(eq(library.id, libraryId), eq(library.maker, maker), eq(library.words, words)));
  const [other] = await db
    .select({ id: swatch.id })
    .from(swatch)
    .where(
      and(
        eq(swatch.libraryId, libraryId),
        sql`${swatch.words} is distinct from ${swatchWords(libraryId)}`,
      ),
    )
    .limit(1);
  return own !== undefined && other === undefined;
}

/** Brings the words of a study's libraries up to what the study says now, in the transaction that changes it. */
export async function reindexLibrariesOf(tx: Writer, studyId: string): Promise<void> {
  const rows = await tx
    .select({ id: library.id, name: library.name, note: library.note })
    .from(library)
    .where(eq(library.studyId, studyId));
  const tags = (
    await contentsOf(
      rows.map(({ id }) => id),
      tx,
    )
  ).tags;
  for (const { id, ...said } of rows)
    await indexLibrary(tx, id, { ...said, tags: tags.get(id) ?? [] });
}

export interface Contents {
  swatches: Map<string, Swatch[]>;
  tags: Map<string, string[]>;
}

/** Swatches and tags of libraries, each in its order. */
export async function contentsOf(
  ids: readonly string[],
  within?: Pick<Writer, 'select'>,
): Promise<Contents> {
  if (ids.length === 0) return { swatches: new Map(), tags: new Map() };
  const db = within ?? (await database());
  const swatchRows = await db
    .select({
      libraryId: swatch.libraryId,
      id: swatch.id,
      name: swatch.name,
      otherNames: swatch.otherNames,
      note: swatch.note,
      role: swatch.role,
      L: swatch.L,
      a: swatch.a,
      b: swatch.b,
      share: swatch.share,
      provenance: swatch.provenance,
      follows: swatch.follows,
      change: swatch.change,
      recipe: swatch.recipe,
      mediumRecipes: swatch.mediumRecipes,
      parts: swatch.parts,
    })
    .from(swatch)
    .where(inArray(swatch.libraryId, [...ids]))
    .orderBy(asc(swatch.position));
  const tagRows = await db
    .select()
    .from(tag)
    .where(inArray(tag.libraryId, [...ids]))
    .orderBy(asc(tag.position));
  const swatches = swatchRows.map(({ libraryId, L, a, b, ...rest }) => ({
    libraryId,
    entry: { ...rest, colour: { L, a, b } },
  }));
  return {
    swatches: grouped(swatches),
    tags: grouped(tagRows.map(({ libraryId, name }) => ({ libraryId, entry: name }))),
  };
}

function grouped<T>(rows: readonly { libraryId: string; entry: T }[]): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const { libraryId, entry } of rows) {
    const group = groups.get(libraryId);
    if (group) group.push(entry);
    else groups.set(libraryId, [entry]);
  }
  return groups;
}
