import { isDeepStrictEqual } from 'node:util';
import { and, desc, eq } from 'drizzle-orm';
import { differenceInMinutes } from 'date-fns';
import type { LibraryContent, LibraryRevision, Swatch } from '@/contracts/library';
import { libraryContentSchema } from '@/contracts/library';
import { database } from '../db/client';
import { libraryRevision } from '../db/library-schema';
import { notFound } from '../errors';
import type { Writer } from './library-rows';

/** Saves within this long of the first of them are one sitting, of which the last state is kept. */
const SITTING_MINUTES = 10;

/** Keeps what a library has become. The first state of all is never replaced. */
export async function keepRevision(
  tx: Writer,
  libraryId: string,
  revision: number,
  content: LibraryContent,
): Promise<void> {
  const [last] = await tx
    .select()
    .from(libraryRevision)
    .where(eq(libraryRevision.libraryId, libraryId))
    .orderBy(desc(libraryRevision.revision))
    .limit(1);
  // A save that changes nothing leaves no trace.
  if (last && isDeepStrictEqual(last.content, content)) return;
  const sitting =
    last && last.revision > 1 && differenceInMinutes(new Date(), last.beganAt) < SITTING_MINUTES;
  if (sitting)
    await tx
      .delete(libraryRevision)
      .where(
        and(eq(libraryRevision.libraryId, libraryId), eq(libraryRevision.revision, last.revision)),
      );
  await tx
    .insert(libraryRevision)
    .values({ libraryId, revision, content, ...(sitting && { beganAt: last.beganAt }) });
}

/** Begins the history of a library that has none. */
export async function keepFirst(
  tx: Writer,
  libraryId: string,
  revision: number,
  content: LibraryContent,
): Promise<void> {
  await tx.insert(libraryRevision).values({ libraryId, revision, content }).onConflictDoNothing();
}

/** What a library was, the newest first, without the swatches themselves. */
export async function listHistory(libraryId: string): Promise<LibraryRevision[]> {
  const db = await database();
  const rows = await db
    .select()
    .from(libraryRevision)
    .where(eq(libraryRevision.libraryId, libraryId))
    .orderBy(desc(libraryRevision.revision));
  return rows.map(({ revision, savedAt, content }, i) => ({
    revision,
    savedAt: savedAt.toISOString(),
    ...changesOf(content, rows[i + 1]?.content ?? null),
  }));
}

/** What a library was at a revision that is kept. */
export async function getRevision(libraryId: string, revision: number): Promise<LibraryContent> {
  const db = await database();
  const [row] = await db
    .select({ content: libraryRevision.content })
    .from(libraryRevision)
    .where(and(eq(libraryRevision.libraryId, libraryId), eq(libraryRevision.revision, revision)));
  if (!row) throw notFound('state of the library');
  return libraryContentSchema.parse(row.content);
}

/** What of a state differs from the one before it. */
function changesOf(
  now: LibraryContent,
  before: LibraryContent | null,
): Omit<LibraryRevision, 'revision' | 'savedAt'> {
  const was = new Map(before?.swatches.map((one) => [one.id, one]));
  const is = new Set(now.swatches.map(({ id }) => id));
  const kept = (swatches: readonly Swatch[] = []) =>
    swatches.flatMap(({ id }) => (was.has(id) && is.has(id) ? [id] : []));
  return {
    name: now.name,
    renamed: before !== null && before.name !== now.name,
    retold:
      before !== null && (before.note !== now.note || !isDeepStrictEqual(before.tags, now.tags)),
    reordered: !isDeepStrictEqual(kept(before?.swatches), kept(now.swatches)),
    size: now.swatches.length,
    added: now.swatches.filter(({ id }) => !was.has(id)).length,
    removed: [...was.keys()].filter((id) => !is.has(id)).length,
    changed: now.swatches.filter(
      (one) => was.has(one.id) && !isDeepStrictEqual(was.get(one.id), one),
    ).length,
  };
}
