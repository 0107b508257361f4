import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Saved } from './saver';

/** What a window holds that no server has acknowledged: kept in the browser until one does. */
export interface Draft<T> {
  base: Saved<T>;
  value: T;
}

/** A draft as it was found, its content still to be checked. */
export interface FoundDraft {
  window: string;
  /** Tells this state of the draft from the window's later ones. */
  stamp: number;
  draft: unknown;
}

interface Schema extends DBSchema {
  drafts: {
    key: [document: string, window: string];
    value: FoundDraft & { document: string };
  };
}

const STORE = 'drafts';
let opened: Promise<IDBPDatabase<Schema>> | null = null;

function database(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>('bold-prism', 1, {
    upgrade: (db) => void db.createObjectStore(STORE, { keyPath: ['document', 'window'] }),
    terminated: () => (opened = null),
  });
  opened.catch(() => (opened = null));
  return opened;
}

/** The drafts of one window for one document. Its methods are rejected where the browser stores nothing (any more). */
export interface Drafts<T> {
  keep: (draft: Draft<T>) => Promise<void>;
  drop: () => Promise<void>;
  /** The drafts of all other windows, open or closed. */
  others: () => Promise<FoundDraft[]>;
  /** Drops what was found, where its window has not gone on since. */
  dropFound: (found: readonly FoundDraft[]) => Promise<void>;
}

/** `document` is the name of a document among all that this browser holds. */
export function draftsOf<T>(document: string, window: string): Drafts<T> {
  let stamp = 0;
  return {
    async keep(draft) {
      const db = await database();
      const tx = db.transaction(STORE, 'readwrite');
      const put = tx.store.put({ document, window, stamp: ++stamp, draft });
      // Without waiting for the answer: a page that is being closed may not live until then.
      tx.commit();
      await Promise.all([put, tx.done]);
    },
    async drop() {
      await (await database()).delete(STORE, [document, window]);
    },
    async others() {
      const all = await (
        await database()
      ).getAll(STORE, IDBKeyRange.bound([document], [document, []]));
      return all.filter((found) => found.window !== window);
    },
    async dropFound(list) {
      const tx = (await database()).transaction(STORE, 'readwrite');
      for (const found of list) {
        const key: [string, string] = [document, found.window];
        if ((await tx.store.get(key))?.stamp === found.stamp) await tx.store.delete(key);
      }
      await tx.done;
    },
  };
}
