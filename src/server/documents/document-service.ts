import { eq, sql } from 'drizzle-orm';
import { database } from '../db/client';
import { library } from '../db/library-schema';
import type { pattern } from '../db/pattern-schema';
import type { session } from '../db/session-schema';
import type { study } from '../db/schema';
import { notFound, ServiceError } from '../errors';
import type { Revisions, Writer } from './revisions';

export interface SavedDocument {
  revision: number;
  updatedAt: string;
}

/** What saving one kind of document needs. */
export interface SavedKind<D> {
  /** In words: "study". */
  what: string;
  revisions: Revisions<D>;
  /** Writes a document over the revision it was based on; null where another stands, or none. */
  write: (
    tx: Writer,
    id: string,
    basedOn: number,
    document: D,
  ) => Promise<{ revision: number; updatedAt: Date } | null>;
  /** The detail of a refused save: the newer document. Throws not-found. */
  newest: (id: string) => Promise<unknown>;
}

/** What is particular to one kind of document of which there are many. */
export interface DocumentKind<D> extends SavedKind<D> {
  table: typeof library | typeof pattern | typeof session | typeof study;
}

/** What is done to documents of every kind. */
export interface DocumentService<D> {
  /**
   * Saves a document over the revision it was based on, and keeps the sitting's state. Throws `newer` with
   * the document that is newer when somebody else has saved since, and stores nothing.
   */
  save: (id: string, basedOn: number, document: D) => Promise<SavedDocument>;
  /** Into the bin; `restore` brings it back. Both throw not-found. */
  remove: (id: string) => Promise<void>;
  restore: (id: string) => Promise<void>;
}

/** Saves documents of one kind, as `DocumentService.save` says. */
export function saverOf<D>(kind: SavedKind<D>): DocumentService<D>['save'] {
  return async (id, basedOn, document) => {
    const db = await database();
    const saved = await db.transaction(async (tx) => {
      const row = await kind.write(tx, id, basedOn, document);
      if (row) await kind.revisions.keep(tx, id, row.revision, document);
      return row;
    });
    if (saved) return { revision: saved.revision, updatedAt: saved.updatedAt.toISOString() };
    throw new ServiceError(
      'newer',
      `This ${kind.what} was changed in another window since you opened it. Nothing was overwritten.`,
      409,
      await kind.newest(id),
    );
  };
}

export function documentService<D>(kind: DocumentKind<D>): DocumentService<D> {
  // Both have the columns that are used here.
  const table = kind.table as typeof library;

  const setDeleted = async (id: string, isDeleted: boolean) => {
    const db = await database();
    const rows = await db
      .update(table)
      .set({ deletedAt: isDeleted ? sql`clock_timestamp()` : null })
      .where(eq(table.id, id))
      .returning({ id: table.id });
    if (rows.length === 0) throw notFound(kind.what);
  };

  return {
    save: saverOf(kind),
    remove: (id) => setDeleted(id, true),
    restore: (id) => setDeleted(id, false),
  };
}
