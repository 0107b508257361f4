import { isDeepStrictEqual } from 'node:util';
import {
  EMPTY_SHELF,
  readShelf,
  storedShelf,
  withMissing,
  type ShelfContent,
  type ShelfRevision,
  SHELF_PARTS,
} from '@/contracts/shelf';
import { shelf, shelfRevision } from '../db/shelf-schema';
import { revisionsIn } from '../documents/revisions';
import { singleDocument } from '../documents/single-document';

/** The one shelf of a store. */
export const SHELF_ID = '5e1f0000-0000-8000-8000-000000000001';

export const shelfRevisions = revisionsIn<ShelfContent>(shelfRevision, 'shelf', {
  write: storedShelf,
  read: readShelf,
});

/** The shelf: an empty one before anything was put on it. */
export const {
  get: getShelf,
  save: saveShelf,
  add: addToShelf,
} = singleDocument<ShelfContent>({
  what: 'shelf',
  id: SHELF_ID,
  table: shelf,
  revisions: shelfRevisions,
  empty: EMPTY_SHELF,
  read: readShelf,
  stored: storedShelf,
  withMissing,
});

/** What the shelf was, the newest first. */
export async function listShelfHistory(): Promise<ShelfRevision[]> {
  const states = await shelfRevisions.list(SHELF_ID);
  return states.map(({ revision, savedAt, document }, i) => ({
    revision,
    savedAt: savedAt.toISOString(),
    tubes: document.tubes.length,
    ...changesOf(document, states[i + 1]?.document ?? EMPTY_SHELF),
  }));
}

function changesOf(now: ShelfContent, before: ShelfContent) {
  const was = new Map(before.tubes.map((tube) => [tube.id, tube]));
  const is = new Set(now.tubes.map(({ id }) => id));
  return {
    added: now.tubes.filter(({ id }) => !was.has(id)).length,
    removed: before.tubes.filter(({ id }) => !is.has(id)).length,
    changed: now.tubes.filter(({ id, ...tube }) => {
      const { id: _, ...earlier } = was.get(id) ?? { id };
      return was.has(id) && !isDeepStrictEqual(earlier, tube);
    }).length,
    besides: SHELF_PARTS.filter((part) => !isDeepStrictEqual(now[part], before[part])),
  };
}
