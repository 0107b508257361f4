import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { buffer } from 'node:stream/consumers';
import type { Readable } from 'node:stream';
import { fromBuffer, type Entry } from 'yauzl';
import { ZipFile } from 'yazl';
import type { Manifest } from '@/contracts/keep';

/** The entries of a zip by their names. */
export async function entriesOf(file: string): Promise<Map<string, Buffer>> {
  const bytes = await buffer(createReadStream(file));
  return new Promise((resolve, reject) =>
    fromBuffer(bytes, { lazyEntries: true }, (error, zip) => {
      if (!zip) return reject(error ?? new Error('no zip'));
      const entries = new Map<string, Buffer>();
      zip.on('entry', (entry: Entry) =>
        zip.openReadStream(entry, (failed, stream) => {
          if (!stream) return reject(failed);
          void buffer(stream).then((content) => {
            entries.set(entry.fileName, content);
            zip.readEntry();
          }, reject);
        }),
      );
      zip.on('end', () => resolve(entries));
      zip.readEntry();
    }),
  );
}

/** A backup of some entries, its manifest in step with them unless `manifest` makes it something else. */
export async function zipOf(
  entries: ReadonlyMap<string, Buffer>,
  manifest: (true_: Manifest) => unknown = (as) => as,
): Promise<Buffer> {
  const was = JSON.parse(entries.get('manifest.json')!.toString()) as Manifest;
  const zip = new ZipFile();
  const listed: Manifest['entries'] = [];
  for (const [path, bytes] of entries) {
    if (path === 'manifest.json') continue;
    zip.addBuffer(bytes, path);
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    listed.push({ path, size: bytes.length, sha256 });
  }
  zip.addBuffer(
    Buffer.from(JSON.stringify(manifest({ ...was, entries: listed }))),
    'manifest.json',
  );
  zip.end();
  return buffer(zip.outputStream as Readable);
}

/** A table's file with each of its rows changed. */
export function withRows(
  entries: ReadonlyMap<string, Buffer>,
  table: string,
  change: (row: Record<string, unknown>) => unknown,
): Map<string, Buffer> {
  const path = `tables/${table}.jsonl`;
  const rows = entries.get(path)!.toString().split('\n').filter(Boolean);
  const changed = rows.map((row) => `${JSON.stringify(change(JSON.parse(row)))}\n`).join('');
  return new Map(entries).set(path, Buffer.from(changed));
}
