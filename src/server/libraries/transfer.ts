import { fileNameFrom } from '@/core/file-name';
import { cutText } from '@/core/text';
import { randomUUID } from 'node:crypto';
import { and, inArray, isNull } from 'drizzle-orm';
import { colourName } from '@/core/colour/name';
import type { CsvColumns } from '@/core/formats/csv-columns';
import { CSV_PARTS } from '@/core/formats/csv-columns';
import type { ReadLibrary } from '@/core/formats/read-text';
import { loses, type FormatFacts, type LibraryFile } from '@/core/formats/library-file';
import { libraryContentSchema, type LibraryContent } from '@/contracts/library';
import { MAX_SHOWN_ROWS, type ReadFile } from '@/contracts/library-files';
import { database } from '../db/client';
import { library } from '../db/library-schema';
import {
  LibraryFileError,
  readLibrary,
  readTextInWorker,
  writeLibrary,
} from '../files/library-bytes';
import { isZip, unzipped, zipped, type NamedBytes } from '../files/zips';
import { builtOf, withBuilt } from './built';
import { getLibrary } from './libraries';

/** A library as a file of a format. */
export async function exportLibrary(
  id: string,
  format: FormatFacts,
): Promise<{ bytes: Uint8Array; fileName: string }> {
  const file = fileOf(await getLibrary(id));
  return {
    bytes: await writeLibrary(file, format),
    fileName: fileNameFrom(file.name, `.${format.extension}`, 'library'),
  };
}

/** Some libraries, each as a file of a format, as one zip; all there are where none is named. */
export async function exportLibraries(
  ids: readonly string[] | null,
  format: FormatFacts,
): Promise<Uint8Array> {
  const db = await database();
  const there = await db
    .select({ id: library.id })
    .from(library)
    .where(and(isNull(library.deletedAt), ids ? inArray(library.id, [...ids]) : undefined))
    .orderBy(library.name);
  return zipped(filesOf(there.map(({ id }) => id)));

  async function* filesOf(chosen: readonly string[]): AsyncGenerator<NamedBytes> {
    for (const id of chosen) {
      const { bytes, fileName } = await exportLibrary(id, format);
      yield { name: fileName, bytes };
    }
  }
}

export function fileOf(content: LibraryContent): LibraryFile {
  const { name, note, tags, swatches } = content;
  return {
    name,
    note,
    tags,
    swatches: swatches.map(
      ({ id: _id, follows: _follows, change: _change, parts: _parts, ...rest }) => rest,
    ),
    ...builtOf(content),
  };
}

/**
 * What a file would become, and each file of a zip; nothing is stored. `columns` says what a table's columns hold,
 * where that can't be told or was told wrongly.
 */
export async function previewFile(
  fileName: string,
  bytes: Uint8Array,
  columns?: CsvColumns,
): Promise<ReadFile[]> {
  if (!isZip(bytes)) return [await lookIntoOne(fileName, bytes, columns)];
  try {
    const files = await unzipped(bytes);
    if (files.length === 0) return [refused(fileName, 'There is no file in this zip.')];
    const read: ReadFile[] = [];
    for (const { name, bytes: content } of files) read.push(await lookIntoOne(name, content));
    return read;
  } catch (error) {
    if (error instanceof LibraryFileError) return [refused(fileName, error.message)];
    throw error;
  }
}

async function lookIntoOne(
  fileName: string,
  bytes: Uint8Array,
  columns?: CsvColumns,
): Promise<ReadFile> {
  try {
    const read = await readLibrary(fileName, bytes, { columns }, readTextInWorker);
    const content = read.library.swatches.length > 0 ? contentOf(fileName, read.library) : null;
    return {
      fileName,
      error: content || read.table ? null : 'There are no colours in this file.',
      format: {
        id: read.format.id,
        title: read.format.title,
        loses: loses(read.format),
      },
      content,
      table: read.table && tableOf(read.table, columns),
    };
  } catch (error) {
    if (error instanceof LibraryFileError) return refused(fileName, error.message);
    throw error;
  }
}

function refused(fileName: string, error: string): ReadFile {
  return { fileName, error, format: null, content: null, table: null };
}

function tableOf(
  table: NonNullable<ReadLibrary['table']>,
  columns?: CsvColumns,
): ReadFile['table'] {
  const said = columns ?? table.columns ?? {};
  const short = (cell: string) => cell.slice(0, 80);
  return {
    header: table.header.map(short),
    rows: table.rows.slice(0, MAX_SHOWN_ROWS).map((row) => row.map(short)),
    columns: Object.fromEntries(
      CSV_PARTS.flatMap((part) => (said[part] === undefined ? [] : [[part, said[part]]])),
    ),
  };
}

/** What a file says as a library can hold it: with ids, and names for what has none. */
function contentOf(fileName: string, file: LibraryFile): LibraryContent {
  const stem = fileName.replace(/^.*[\\/]/, '').replace(/(\.prism|\.tokens)?\.[a-z0-9]{1,6}$/i, '');
  const plain = libraryContentSchema.parse({
    name: cutText(file.name.trim() || stem.trim() || 'Imported', 200),
    note: file.note,
    tags: file.tags.map((tag) => tag.trim()).filter(Boolean),
    swatches: file.swatches.map((entry) => ({
      ...entry,
      id: randomUUID(),
      name: entry.name.trim() || colourName(entry.colour),
      otherNames: entry.otherNames.map((name) => name.trim()).filter(Boolean),
    })),
  });
  return withBuilt(plain, file.built);
}
