import { isDeepStrictEqual } from 'node:util';
import { and, eq, sql } from 'drizzle-orm';
import { database } from '../db/client';
import type { courses } from '../db/courses-schema';
import { shelf } from '../db/shelf-schema';
import { saverOf, type SavedDocument } from './document-service';
import type { Revisions, Writer } from './revisions';

/** What is particular to a kind of document of which a store has one. */
interface SingleKind<D> {
  /** In words: "shelf". */
  what: string;
  id: string;
  table: typeof shelf | typeof courses;
  revisions: Revisions<D>;
  /** What it is before anything was saved. */
  empty: D;
  read: (stored: unknown) => D;
  stored: (document: D) => unknown;
  /** A document with what another has and it lacks. */
  withMissing: (here: D, other: D) => D;
}

export interface SingleDocument<D> {
  /** The document; the empty one before anything was saved. */
  get: () => Promise<{ revision: number; content: D }>;
  /** As `DocumentService.save`. */
  save: (basedOn: number, document: D) => Promise<SavedDocument>;
  /** Adds what another has and this one lacks, as one save. */
  add: (tx: Writer, other: D) => Promise<void>;
}

export function singleDocument<D>(kind: SingleKind<D>): SingleDocument<D> {
  const { id, revisions, empty } = kind;
  // All of them have the same columns.
  const table = kind.table as typeof shelf;
  const stored = kind.stored as (document: D) => (typeof shelf.$inferInsert)['content'];

  const begun = async () => {
    const db = await database();
    await db.transaction(async (tx) => {
      const made = await tx
        .insert(table)
        .values({ id, revision: 1, content: stored(empty) })
        .onConflictDoNothing()
        .returning({ id: table.id });
      if (made.length > 0) await revisions.begin(tx, id, 1, empty);
    });
    return db.select().from(table).where(eq(table.id, id));
  };

  const get = async () => {
    const db = await database();
    const here = await db.select().from(table).where(eq(table.id, id));
    const [row] = here.length > 0 ? here : await begun();
    return { revision: row.revision, content: kind.read(row.content) };
  };

  const save = saverOf<D>({
    what: kind.what,
    revisions,
    async write(tx, _, basedOn, content) {
      const [row] = await tx
        .update(table)
        .set({
          content: stored(content),
          revision: sql`${table.revision} + 1`,
          updatedAt: sql`clock_timestamp()`,
        })
        .where(and(eq(table.id, id), eq(table.revision, basedOn)))
        .returning({ revision: table.revision, updatedAt: table.updatedAt });
      return row ?? null;
    },
    newest: get,
  });

  return {
    get,
    save: (basedOn, document) => save(id, basedOn, document),
    async add(tx, other) {
      const [row] = await tx.select().from(table).where(eq(table.id, id)).for('update');
      const here = row ? kind.read(row.content) : empty;
      const both = kind.withMissing(here, other);
      if (isDeepStrictEqual(both, here)) return;
      const revision = row ? row.revision + 1 : 1;
      const content = stored(both);
      await tx
        .insert(table)
        .values({ id, revision, content })
        .onConflictDoUpdate({
          target: table.id,
          set: { revision, content, updatedAt: sql`clock_timestamp()` },
        });
      await revisions.keep(tx, id, revision, both);
    },
  };
}
