import { createHash } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import { open as openZip, type Entry, type ZipFile } from 'yauzl';
import { crc32 } from '@/core/crc32';
import { manifestSchema, type Manifest } from '@/contracts/keep';
import { ServiceError } from '../errors';
import { MANIFEST } from './backup';
import { jsonLines } from './row-lines';
import { rowSchemaOf } from './row-schemas';
import { tablePath, TABLES, type Row } from './tables';

/** A backup that was found whole. */
export interface Archive {
  manifest: Manifest;
  /** The rows of a table as they are read, each checked; none of a table that is newer than the backup. */
  rows: (table: string) => AsyncGenerator<Row>;
  bytes: (path: string) => Promise<Buffer>;
  close: () => void;
}

/** A manifest or a picture larger than this is none of ours. */
const MAX_WHOLE = 256 * 1024 * 1024;
/** What is read whole may be packed so tightly; more is made to fill a memory. */
const MAX_PACKING = 200;
const ALWAYS_SMALL = 16 * 1024 * 1024;
/** What all entries may unpack to. Nothing is unpacked but to be read through, a part at a time. */
const MAX_UNPACKED = 50 * 1024 ** 3;
const MAX_NAMED = 5;
/** Tables that every backup has; others came later. */
const FIRST_TABLES = ['picture', 'study', 'library', 'swatch'];
const TABLE_PATHS = new Set(TABLES.map(tablePath));

/**
 * Opens a backup and reads every entry once, against its checksum. Throws `damaged` with what is: nothing of a
 * backup that is not whole is ever used.
 */
export async function openArchive(file: string): Promise<Archive> {
  const zip = await open(file);
  try {
    const entries = await listed(zip);
    const bytes = async (path: string) => {
      const entry = entries.get(path);
      if (!entry) throw damaged([`${path} is missing`]);
      return content(zip, entry);
    };
    const manifest = await manifestOf(bytes, entries);
    const problems = misfits(manifest, entries);
    if (problems.length > 0) throw damaged(problems);
    for (const { path, size, sha256 } of manifest.entries) {
      const found = await digest(zip, entries.get(path)!).catch((error: Error) => error.message);
      if (typeof found === 'string') problems.push(`${path} can’t be read (${found})`);
      else if (found.size !== size) problems.push(`${path} has another length`);
      else if (found.sha256 !== sha256) problems.push(`${path} has another checksum`);
    }
    if (problems.length > 0) throw damaged(problems);
    return {
      manifest,
      bytes,
      rows: (table) => rowsOf(table, entries.get(tablePath(table)), zip),
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

/** What a manifest and the entries beside it do not agree in. */
function misfits(manifest: Manifest, entries: ReadonlyMap<string, Entry>): string[] {
  const listed = new Set(manifest.entries.map(({ path }) => path));
  return [
    ...FIRST_TABLES.filter((table) => !manifest.missing.includes(table))
      .map(tablePath)
      .filter((path) => !listed.has(path)),
    ...[...listed].filter((path) => !entries.has(path)),
  ]
    .map((path) => `${path} is missing`)
    .concat(
      [...entries.keys()]
        .filter((path) => path !== MANIFEST && !listed.has(path))
        .map((path) => `${path} is not in the manifest`),
      listed.size < manifest.entries.length ? ['the manifest names an entry twice'] : [],
    );
}

async function* rowsOf(table: string, entry: Entry | undefined, zip: ZipFile): AsyncGenerator<Row> {
  if (!entry) return;
  const schema = rowSchemaOf(table);
  const source = (await stream(zip, entry)) as AsyncIterable<Buffer>;
  let number = 0;
  try {
    for await (const line of jsonLines(source)) {
      number++;
      const parsed = schema.safeParse(line);
      if (!parsed.success)
        throw damaged([
          `row ${number} of ${entry.fileName} is not as it should be (${parsed.error.issues[0].path.join(' › ')})`,
        ]);
      yield parsed.data;
    }
  } catch (error) {
    throw error instanceof RangeError ? damaged([`${entry.fileName}: ${error.message}`]) : error;
  }
}

async function manifestOf(
  bytes: (path: string) => Promise<Buffer>,
  entries: ReadonlyMap<string, Entry>,
): Promise<Manifest> {
  const entry = entries.get(MANIFEST);
  if (!entry)
    throw new ServiceError(
      'not-a-backup',
      'This zip has no manifest, so it is no backup of Bold Prism. Nothing was restored.',
      422,
    );
  const text = await bytes(MANIFEST).then(
    (found) => found.toString('utf8'),
    (error: Error) => {
      throw damaged([`the manifest can’t be read (${error.message})`]);
    },
  );
  // Checked first: a damaged manifest would report other files as damaged.
  if (crc32(Buffer.from(text)) !== entry.crc32)
    throw damaged(['the manifest has another checksum']);
  const parsed = manifestSchema.safeParse(jsonOf(text));
  if (!parsed.success) throw damaged(['the manifest is not as it should be']);
  return parsed.data;
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

export function damaged(problems: readonly string[]): ServiceError {
  const named = problems.slice(0, MAX_NAMED).join('; ');
  const more = problems.length - MAX_NAMED;
  return new ServiceError(
    'damaged',
    `This backup is damaged: ${named}${more > 0 ? `; and ${more} more` : ''}. Nothing was restored.`,
    422,
  );
}

function open(file: string): Promise<ZipFile> {
  return new Promise((resolve, reject) =>
    openZip(file, { lazyEntries: true, autoClose: false }, (error, zip) =>
      zip ? resolve(zip) : reject(damaged([error?.message ?? 'it is no zip'])),
    ),
  );
}

function listed(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    let total = 0;
    zip.on('entry', (entry: Entry) => {
      total += entry.uncompressedSize;
      if (total > MAX_UNPACKED) return reject(damaged(['it unpacks to more than 50 GB']));
      if (entries.has(entry.fileName)) return reject(damaged([`${entry.fileName} is there twice`]));
      if (isBomb(entry)) return reject(damaged([`${entry.fileName} is packed too tightly`]));
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.on('end', () => resolve(entries));
    zip.on('error', (error: Error) => reject(damaged([error.message])));
    zip.readEntry();
  });
}

/** Tables are not held whole, and a history whose states are nearly the same packs as tightly as any bomb. */
function isBomb({ fileName, uncompressedSize, compressedSize }: Entry): boolean {
  return (
    !TABLE_PATHS.has(fileName) &&
    uncompressedSize > ALWAYS_SMALL &&
    uncompressedSize > compressedSize * MAX_PACKING
  );
}

function stream(zip: ZipFile, entry: Entry): Promise<NodeJS.ReadableStream> {
  return new Promise((resolve, reject) =>
    zip.openReadStream(entry, (error, found) =>
      found ? resolve(found) : reject(error ?? new Error('an entry can’t be opened')),
    ),
  );
}

async function content(zip: ZipFile, entry: Entry): Promise<Buffer> {
  if (entry.uncompressedSize > MAX_WHOLE) throw damaged([`${entry.fileName} is too large`]);
  return buffer(await stream(zip, entry));
}

async function digest(zip: ZipFile, entry: Entry): Promise<{ size: number; sha256: string }> {
  const hash = createHash('sha256');
  let size = 0;
  for await (const part of await stream(zip, entry)) {
    const bytes = part as Buffer;
    size += bytes.length;
    hash.update(bytes);
  }
  return { size, sha256: hash.digest('hex') };
}
