import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { sql } from 'drizzle-orm';
import { ZipFile } from 'yazl';
import { BACKUP_FORMAT, BACKUP_VERSION, type Manifest } from '@/contracts/keep';
import { database } from '../db/client';
import { RENDITIONS } from '@/contracts/pictures';
import { getBytes } from '../pictures/get-bytes';
import { keysOf, picturePath, tablePath, TABLES, type Row } from './tables';

/** The rows of each table. */
type Tables = Record<string, Row[]>;

/** All rows as they stand at one moment. */
export async function allRows(): Promise<Tables> {
  const db = await database();
  return db.transaction(
    async (tx) => {
      const tables: Tables = {};
      for (const table of TABLES) {
        const order = sql.join(
          keysOf(table).map((key) => sql.identifier(key)),
          sql`, `,
        );
        const answer = (await tx.execute(
          sql`select to_jsonb(t) as row from ${sql.identifier(table)} t order by ${order}`,
        )) as unknown as { rows: { row: Row }[] };
        tables[table] = answer.rows.map(({ row }) => row);
      }
      return tables;
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
}

/**
 * Everything there is as one zip: a file of JSON lines for each table, the pictures byte by byte, and last a manifest
 * with the length and the checksum of each. Pictures are fetched one at a time, as the zip is read.
 */
export async function backup(): Promise<Readable> {
  const tables = await allRows();
  const zip = new ZipFile();
  const entries: Manifest['entries'] = [];
  const add = (path: string, compress: boolean, bytesOf: () => Promise<Uint8Array>) =>
    zip.addReadStreamLazy(path, { compress }, (give) => {
      bytesOf().then(
        (bytes) => {
          if (path !== MANIFEST) entries.push({ path, size: bytes.length, sha256: sha256(bytes) });
          give(null, Readable.from([Buffer.from(bytes)]));
        },
        (error: unknown) => give(error, Readable.from([])),
      );
    });
  for (const table of TABLES)
    add(tablePath(table), true, async () =>
      new TextEncoder().encode(tables[table].map((row) => `${JSON.stringify(row)}\n`).join('')),
    );
  // Pictures are never changed and never deleted: they need not be of the same moment as the rows.
  for (const { id, hash } of tables.picture)
    for (const rendition of RENDITIONS)
      add(picturePath(String(hash), rendition), false, async () => {
        const { bytes } = await getBytes(String(id), rendition);
        return bytes;
      });
  add(MANIFEST, true, async () => {
    const manifest: Manifest = {
      format: BACKUP_FORMAT,
      version: BACKUP_VERSION,
      madeAt: new Date().toISOString(),
      counts: {
        studies: tables.study.length,
        pictures: tables.picture.length,
        libraries: tables.library.length,
        swatches: tables.swatch.length,
      },
      entries,
    };
    return new TextEncoder().encode(JSON.stringify(manifest, null, 1));
  });
  const out = zip.outputStream as Readable;
  zip.on('error', (error) => out.destroy(error as unknown as Error));
  zip.end();
  return out;
}

export const MANIFEST = 'manifest.json';

export function sha256(bytes: Uint8Array): string {
  return createHash('sha256').update(bytes).digest('hex');
}
