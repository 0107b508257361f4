import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { sql } from 'drizzle-orm';
import { database } from '../db/client';
import { rows } from '../db/rows';
import type { Database } from '../db/open';
import { keysOf, TABLES } from './tables';
import { isUnreadable } from './unreadable';

/** Rows that are in memory at once: a study with its history's strokes can take megabytes. */
const AT_ONCE = 50;

/** A table written out as lines of JSON. */
export interface SpooledTable {
  table: string;
  file: string;
  rows: number;
  size: number;
  sha256: string;
}

/**
 * Writes the rows of every table into files of a folder, all as they stand at one moment, a few at a time: memory is
 * bounded, and the store is free again before anybody has fetched the files. A table whose file is damaged is left out
 * and named.
 */
export async function spoolTables(
  folder: string,
): Promise<{ spooled: SpooledTable[]; missing: string[] }> {
  const db = await database();
  return db.transaction(
    async (tx) => {
      const spooled: SpooledTable[] = [];
      const missing: string[] = [];
      for (const table of TABLES)
        try {
          // In a savepoint: one table that can't be read leaves the others readable.
          spooled.push(await tx.transaction((inner) => spoolTable(inner, table, folder)));
        } catch (error) {
          if (!isUnreadable(error)) throw error;
          missing.push(table);
        }
      return { spooled, missing };
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
}

async function spoolTable(
  tx: Pick<Database, 'execute'>,
  table: string,
  folder: string,
): Promise<SpooledTable> {
  const file = path.join(/*turbopackIgnore: true*/ folder, `${table}.jsonl`);
  const hash = createHash('sha256');
  let count = 0;
  let size = 0;
  const lines = async function* () {
    for await (const batch of batchesOf(tx, table)) {
      const bytes = Buffer.from(batch.map((row) => `${row}\n`).join(''));
      count += batch.length;
      size += bytes.length;
      hash.update(bytes);
      yield bytes;
    }
  };
  await pipeline(Readable.from(lines()), createWriteStream(file));
  return { table, file, rows: count, size, sha256: hash.digest('hex') };
}

/** The rows of a table in the order of its keys, as JSON texts. */
async function* batchesOf(tx: Pick<Database, 'execute'>, table: string): AsyncGenerator<string[]> {
  const order = sql.join(
    keysOf(table).map((key) => sql.identifier(key)),
    sql`, `,
  );
  await tx.execute(
    sql`declare kept cursor for select to_jsonb(t)::text as row from ${sql.identifier(table)} t order by ${order}`,
  );
  for (;;) {
    const batch = await rows<{ row: string }>(sql.raw(`fetch ${AT_ONCE} from kept`), tx);
    if (batch.length === 0) break;
    yield batch.map(({ row }) => row);
  }
  await tx.execute(sql`close kept`);
}
