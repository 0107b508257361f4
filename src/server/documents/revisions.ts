import { isDeepStrictEqual } from 'node:util';
import { differenceInMinutes } from 'date-fns';
import { and, desc, eq, inArray } from 'drizzle-orm';
import { database } from '../db/client';
import type { Database } from '../db/open';
import type { coursesRevision } from '../db/courses-schema';
import { libraryRevision } from '../db/library-schema';
import type { studyRevision } from '../db/schema';
import type { patternRevision } from '../db/pattern-schema';
import type { sessionRevision } from '../db/session-schema';
import type { shelfRevision } from '../db/shelf-schema';
import { notFound } from '../errors';

export type Writer = Pick<Database, 'insert' | 'delete' | 'select' | 'update' | 'execute'>;

/** Tables of revisions have the same columns, whatever they are of. */
type RevisionTable =
  | typeof coursesRevision
  | typeof libraryRevision
  | typeof patternRevision
  | typeof sessionRevision
  | typeof shelfRevision
  | typeof studyRevision;

/** Saves within this long of the first of them are one sitting, of which the last state is kept. */
const SITTING_MINUTES = 10;
/** The most sittings that a document's history goes back, besides its first state. */
export const MAX_SITTINGS = 300;

export interface Revision<D> {
  revision: number;
  savedAt: Date;
  document: D;
}

/** The history of one kind of document: its state at the end of each sitting of changes. */
export interface Revisions<D> {
  /** Keeps what a document has become. The first state of all is never replaced. */
  keep: (tx: Writer, owner: string, revision: number, document: D) => Promise<void>;
  /** Begins the history of a document that has none. */
  begin: (tx: Writer, owner: string, revision: number, document: D) => Promise<void>;
  /** The newest first. */
  list: (owner: string) => Promise<Revision<D>[]>;
  /** Throws not-found. */
  get: (owner: string, revision: number) => Promise<D>;
}

/**
 * `write` makes of a document what is stored, `read` the document of what was, by whatever version of the
 * program; `what` is the kind of document in words.
 */
export function revisionsIn<D>(
  revisionTable: RevisionTable,
  what: string,
  { write, read }: { write: (document: D) => unknown; read: (stored: unknown) => D },
): Revisions<D> {
  // The columns are the same; only what the content is typed as differs.
  const table = revisionTable as typeof libraryRevision;
  const stored = (document: D) => write(document) as (typeof table.$inferInsert)['content'];

  /** The first state stays, and the last sittings; what lies between grows out. */
  const forgetOldest = async (tx: Writer, owner: string) => {
    const kept = await tx
      .select({ revision: table.revision })
      .from(table)
      .where(eq(table.ownerId, owner))
      .orderBy(desc(table.revision));
    const old = kept.slice(MAX_SITTINGS, -1).map((row) => row.revision);
    if (old.length > 0)
      await tx.delete(table).where(and(eq(table.ownerId, owner), inArray(table.revision, old)));
  };

  return {
    async keep(tx, owner, revision, document) {
      const content = stored(document);
      const [last] = await tx
        .select()
        .from(table)
        .where(eq(table.ownerId, owner))
        .orderBy(desc(table.revision))
        .limit(1);
      // A save that changes nothing leaves no trace.
      if (last && isDeepStrictEqual(last.content, content)) return;
      const isSitting =
        last &&
        last.revision > 1 &&
        differenceInMinutes(new Date(), last.beganAt) < SITTING_MINUTES;
      if (isSitting)
        await tx
          .delete(table)
          .where(and(eq(table.ownerId, owner), eq(table.revision, last.revision)));
      await tx
        .insert(table)
        .values({ ownerId: owner, revision, content, ...(isSitting && { beganAt: last.beganAt }) });
      if (!isSitting) await forgetOldest(tx, owner);
    },

    async begin(tx, owner, revision, document) {
      await tx
        .insert(table)
        .values({ ownerId: owner, revision, content: stored(document) })
        .onConflictDoNothing();
    },

    async list(owner) {
      const db = await database();
      const rows = await db
        .select()
        .from(table)
        .where(eq(table.ownerId, owner))
        .orderBy(desc(table.revision));
      return rows.map(({ revision, savedAt, content }) => ({
        revision,
        savedAt,
        document: read(content),
      }));
    },

    async get(owner, revision) {
      const db = await database();
      const [row] = await db
        .select({ content: table.content })
        .from(table)
        .where(and(eq(table.ownerId, owner), eq(table.revision, revision)));
      if (!row) throw notFound(`state of the ${what}`);
      return read(row.content);
    },
  };
}
