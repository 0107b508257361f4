import { fileNameFrom, safeFileName } from '@/core/file-name';
import { fromBuffer, type Entry, type ZipFile as OpenZip } from 'yauzl';
import { ZipFile } from 'yazl';
import { buffer } from 'node:stream/consumers';
import type { Readable } from 'node:stream';
import { MAX_FILE_BYTES, MAX_ZIPPED_FILES } from '@/contracts/library-files';
import { LibraryFileError } from './library-bytes';

export interface NamedBytes {
  name: string;
  bytes: Uint8Array;
}

export function isZip(bytes: Uint8Array): boolean {
  return Buffer.from(bytes.subarray(0, 4)).toString('latin1') === 'PK\x03\x04';
}

/** Files as one zip. Names that are there twice are numbered. */
export async function zipped(
  files: AsyncIterable<NamedBytes> | Iterable<NamedBytes>,
): Promise<Uint8Array> {
  const zip = new ZipFile();
  const taken = new Set<string>();
  const whole = buffer(zip.outputStream as Readable);
  for await (const { name, bytes } of files) {
    const safe = entryName(name, taken);
    zip.addBuffer(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength), safe);
  }
  zip.end();
  return whole;
}

/** A name that every system can unpack, and that no other file has. */
function entryName(name: string, taken: Set<string>): string {
  const safe = safeFileName(name, 'library');
  const [, stem, ending] = /^(.+?)((?:\.[a-z0-9]{1,8}){0,2})$/is.exec(safe) ?? [];
  let unique = safe;
  for (let n = 2; taken.has(unique.toLowerCase()); n++)
    unique = fileNameFrom(stem, ` ${n}${ending}`, 'library');
  taken.add(unique.toLowerCase());
  return unique;
}

/** The files in a zip, in their order. Throws a LibraryFileError for what is broken, too much or too many. */
export async function unzipped(bytes: Uint8Array): Promise<NamedBytes[]> {
  const zip = await open(bytes);
  if (zip.entryCount > MAX_ZIPPED_FILES)
    throw new LibraryFileError(`There are more than ${MAX_ZIPPED_FILES} files in this zip.`);
  const files: NamedBytes[] = [];
  let total = 0;
  return new Promise((resolve, reject) => {
    const broken = (error: Error) =>
      reject(
        error instanceof LibraryFileError
          ? error
          : new LibraryFileError(`This zip is damaged: ${error.message}.`),
      );
    zip.on('error', broken);
    zip.on('end', () => resolve(files));
    zip.on('entry', (entry: Entry) => {
      total += entry.uncompressedSize;
      if (total > MAX_FILE_BYTES)
        return broken(new LibraryFileError('This zip unpacks to more than 64 MB.'));
      const name = entry.fileName.split('/').pop() ?? '';
      // Folders, and what systems leave beside files.
      if (name === '' || name.startsWith('.') || entry.fileName.startsWith('__MACOSX/'))
        return zip.readEntry();
      contentOf(zip, entry).then((content) => {
        files.push({ name, bytes: content });
        zip.readEntry();
      }, broken);
    });
    zip.readEntry();
  });
}

function open(bytes: Uint8Array): Promise<OpenZip> {
  return new Promise((resolve, reject) => {
    fromBuffer(
      Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
      { lazyEntries: true },
      (error, zip) =>
        zip
          ? resolve(zip)
          : reject(
              new LibraryFileError(`This zip is damaged: ${error?.message ?? 'it is cut short'}.`),
            ),
    );
  });
}

function contentOf(zip: OpenZip, entry: Entry): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) => {
      if (!stream) reject(error ?? new Error('an entry can’t be read'));
      else buffer(stream).then(resolve, reject);
    });
  });
}
