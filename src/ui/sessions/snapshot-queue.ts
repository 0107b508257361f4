import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A snapshot that no server has acknowledged: kept in the browser until one does. */
export interface WaitingSnapshot {
  session: string;
  id: string;
  name: string;
  blob: Blob;
}

interface Schema extends DBSchema {
  snapshots: { key: [session: string, id: string]; value: WaitingSnapshot };
}

const STORE = 'snapshots';
let opened: Promise<IDBPDatabase<Schema>> | null = null;

function database(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>('bold-prism-snapshots', 1, {
    upgrade: (db) => void db.createObjectStore(STORE, { keyPath: ['session', 'id'] }),
    terminated: () => (opened = null),
  });
  opened.catch(() => (opened = null));
  return opened;
}

/** Each is rejected where the browser stores nothing (any more). */
export const snapshotQueue = {
  async keep(snapshot: WaitingSnapshot): Promise<void> {
    await (await database()).put(STORE, snapshot);
  },
  async of(session: string): Promise<WaitingSnapshot[]> {
    return (await database()).getAll(STORE, IDBKeyRange.bound([session], [session, []]));
  },
  async drop({ session, id }: Pick<WaitingSnapshot, 'session' | 'id'>): Promise<void> {
    await (await database()).delete(STORE, [session, id]);
  },
};
