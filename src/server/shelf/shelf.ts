import { isDeepStrictEqual } from 'node:util';
import { and, eq, sql } from 'drizzle-orm';
import {
  EMPTY_SHELF,
  readShelf,
  storedShelf,
  withMissing,
  type Shelf,
  type ShelfContent,
  type ShelfRevision,
  SHELF_PARTS,
} from '@/contracts/shelf';
import { database } from '../db/client';
import { shelf, shelfRevision } from '../db/shelf-schema';
import { saverOf } from '../documents/document-service';
import { revisionsIn, type Writer } from '../documents/revisions';

/** The one shelf of a store. */
export const SHELF_ID = '5e1f0000-0000-8000-8000-000000000001';

export const shelfRevisions = revisionsIn<ShelfContent>(shelfRevision, 'shelf', {
  write: storedShelf,
  read: readShelf,
});

/** The shelf; an empty one before anything was put on it. */
export async function getShelf(): Promise<Shelf> {
  const db = await database();
  const here = await db.select().from(shelf).where(eq(shelf.id, SHELF_ID));
  const [row] = here.length > 0 ? here : await begun();
  return { revision: row.revision, content: readShelf(row.content) };
}

async function begun() {
  const db = await database();
  await db.transaction(async (tx) => {
    const made = await tx
      .insert(shelf)
      .values({ id: SHELF_ID, revision: 1, content: storedShelf(EMPTY_SHELF) })
      .onConflictDoNothing()
      .returning({ id: shelf.id });
    if (made.length > 0) await shelfRevisions.begin(tx, SHELF_ID, 1, EMPTY_SHELF);
  });
  return db.select().from(shelf).where(eq(shelf.id, SHELF_ID));
}

const save = saverOf<ShelfContent>({
  what: 'shelf',
  revisions: shelfRevisions,
  async write(tx, id, basedOn, content) {
    const [row] = await tx
      .update(shelf)
      .set({
        content: storedShelf(content),
        revision: sql`${shelf.revision} + 1`,
        updatedAt: sql`clock_timestamp()`,
      })
      .where(and(eq(shelf.id, id), eq(shelf.revision, basedOn)))
      .returning({ revision: shelf.revision, updatedAt: shelf.updatedAt });
    return row ?? null;
  },
  newest: () => getShelf(),
});

/** Saves the shelf over the revision it was based on, as `DocumentService.save` does. */
export const saveShelf = (basedOn: number, content: ShelfContent) =>
  save(SHELF_ID, basedOn, content);

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

/** Adds to the shelf what another shelf has and this one lacks, as one save. */
export async function addToShelf(tx: Writer, other: ShelfContent): Promise<void> {
  const [row] = await tx.select().from(shelf).where(eq(shelf.id, SHELF_ID)).for('update');
  const here = row ? readShelf(row.content) : EMPTY_SHELF;
  const both = withMissing(here, other);
  if (isDeepStrictEqual(both, here)) return;
  const revision = row ? row.revision + 1 : 1;
  const content = storedShelf(both);
  await tx
    .insert(shelf)
    .values({ id: SHELF_ID, revision, content })
    .onConflictDoUpdate({
      target: shelf.id,
      set: { revision, content, updatedAt: sql`clock_timestamp()` },
    });
  await shelfRevisions.keep(tx, SHELF_ID, revision, both);
}
