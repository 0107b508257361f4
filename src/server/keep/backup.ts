import { createHash, randomUUID } from 'node:crypto';
import { mkdir, rm } from 'node:fs/promises';
import path from 'node:path';
import { Readable } from 'node:stream';
import { ZipFile } from 'yazl';
import { BACKUP_FORMAT, BACKUP_VERSION, type Manifest } from '@/contracts/keep';
import { database, dataFolder } from '../db/client';
import { picture } from '../db/schema';
import { RENDITIONS } from '@/contracts/pictures';
import { getBytes } from '../pictures/get-bytes';
import { spoolTables } from './spool';
import { picturePath, tablePath } from './tables';
import { unreadable } from './unreadable';

export const outgoingFolder = () => path.join(/*turbopackIgnore: true*/ dataFolder(), 'outgoing');

/**
 * Everything there is as one zip: a file of JSON lines for each table, the pictures byte by byte, and last a manifest
 * with the length and the checksum of each. Tables are written into files first, pictures are fetched one at a time
 * as the zip is read: memory is bounded.
 */
export async function backup(): Promise<Readable> {
  const folder = path.join(/*turbopackIgnore: true*/ outgoingFolder(), randomUUID());
  await mkdir(folder, { recursive: true });
  const discard = () => rm(folder, { recursive: true, force: true });
  try {
    const out = await zipped(folder);
    out.once('close', () => void discard().catch((error) => console.error(error)));
    return out;
  } catch (error) {
    await discard();
    throw error;
  }
}

async function zipped(folder: string): Promise<Readable> {
  const { spooled: tables, missing } = await spoolTables(folder);
  const zip = new ZipFile();
  const entries: Manifest['entries'] = [];
  for (const { table, file, size, sha256 } of tables) {
    zip.addFile(file, tablePath(table), { compress: true });
    entries.push({ path: tablePath(table), size, sha256 });
  }
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
  if (missing.includes('picture')) throw unreadable(missing);
  // Pictures are never changed and never deleted: they need not be of the same moment as the rows, and those that
  // came since do no harm.
  const db = await database();
  for (const { id, hash } of await db.select({ id: picture.id, hash: picture.hash }).from(picture))
    for (const rendition of RENDITIONS)
      add(picturePath(hash, rendition), false, async () => (await getBytes(id, rendition)).bytes);
  const countOf = (table: string) => tables.find((one) => one.table === table)?.rows ?? 0;
  add(MANIFEST, true, async () => {
    const manifest: Manifest = {
      format: BACKUP_FORMAT,
      version: BACKUP_VERSION,
      madeAt: new Date().toISOString(),
      counts: {
        studies: countOf('study'),
        pictures: countOf('picture'),
        libraries: countOf('library'),
        swatches: countOf('swatch'),
      },
      missing,
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
