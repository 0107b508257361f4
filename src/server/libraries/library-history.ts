import { isDeepStrictEqual } from 'node:util';
import {
  readLibraryContent,
  storedLibrary,
  type LibraryContent,
  type LibraryRevision,
  type Swatch,
} from '@/contracts/library';
import { libraryRevision } from '../db/library-schema';
import { revisionsIn } from '../documents/revisions';

export const libraryRevisions = revisionsIn<LibraryContent>(libraryRevision, 'library', {
  write: storedLibrary,
  read: readLibraryContent,
});

/** What a library was, the newest first, without the swatches themselves. */
export async function listLibraryHistory(libraryId: string): Promise<LibraryRevision[]> {
  const states = await libraryRevisions.list(libraryId);
  return states.map(({ revision, savedAt, document }, i) => ({
    revision,
    savedAt: savedAt.toISOString(),
    ...changesOf(document, states[i + 1]?.document ?? null),
  }));
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
