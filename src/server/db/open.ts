import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite';
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator';
import { drizzle as drizzleServer } from 'drizzle-orm/node-postgres';
import { migrate as migrateServer } from 'drizzle-orm/node-postgres/migrator';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import pg from 'pg';
import { DamagedFolderError, holdsDatabase } from './damaged-folder';
import { lockFolder } from './folder-lock';
import * as schema from './schema';

export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

export interface OpenDatabase {
  db: Database;
  close: () => Promise<void>;
}

const BYTEA = 17;
/** Any number will do, as long as every Bold Prism takes the same one. */
const MIGRATION_LOCK = 7_311_894;

function migrationsFolder(): string {
  return path.join(/*turbopackIgnore: true*/ process.cwd(), 'src/server/db/migrations');
}

/**
 * PostgreSQL embedded in a folder, locked for this process and migrated. `null` keeps it in memory.
 * Throws a DamagedFolderError where the folder holds a database that can't be opened.
 */
export async function openFolder(folder: string | null, from?: Blob): Promise<OpenDatabase> {
  const lock = folder === null ? null : await lockFolder(folder);
  const isKnown = folder !== null && holdsDatabase(folder);
  try {
    const client = new PGlite({
      dataDir: folder ?? 'memory://',
      loadDataDir: from,
      // PGlite parses bytes one by one; Buffer does it ten times as fast.
      parsers: { [BYTEA]: (text: string) => Buffer.from(text.slice(2), 'hex') },
    });
    await client.waitReady.catch((error: unknown) => {
      throw isKnown ? new DamagedFolderError(folder, error) : error;
    });
    const db = drizzlePglite(client, { schema });
    await migratePglite(db, { migrationsFolder: migrationsFolder() });
    return {
      db,
      close: async () => {
        await client.close();
        await lock?.release();
      },
    };
  } catch (error) {
    await lock?.release();
    throw error;
  }
}

/** A PostgreSQL server; migrations wait for one another when several start at once. */
export async function openServer(url: string): Promise<OpenDatabase> {
  const pool = new pg.Pool({ connectionString: url });
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrateServer(drizzleServer(client, { schema }), {
      migrationsFolder: migrationsFolder(),
    });
  } finally {
    await client.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK]).catch(() => undefined);
    client.release();
  }
  return { db: drizzleServer(pool, { schema }), close: () => pool.end() };
}
