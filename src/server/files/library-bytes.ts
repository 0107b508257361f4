import type { CsvColumns } from '@/core/formats/csv-columns';
import { csv, readRows, readTable, type CsvTable } from '@/core/formats/csv';
import { readCard } from '@/core/formats/card';
import { formatById, formatOf, FORMATS, isText } from '@/core/formats/formats';
import { FormatError, type FormatFacts, type LibraryFile } from '@/core/formats/library-file';
import { embeddedLibrary, pngChart } from '@/core/formats/png-chart';
import { textOf } from '@/core/formats/text-of';
import { isPng } from '@/core/formats/png-text';
import { makeWorkingCopy } from '../pictures/read-picture';
import { ServiceError } from '../errors';
import { drawChart } from './draw-chart';

/** A picture of a swatch card can be imported; nothing is written as one. */
export const CARD: FormatFacts = {
  id: 'card',
  title: 'picture of a swatch card',
  extension: 'jpg',
  mediaType: 'image/*',
  holds: ['8-bit colour'],
};

export interface ReadLibrary {
  format: FormatFacts;
  library: LibraryFile;
  /** Of a table what is in its columns; what they hold may be said otherwise. */
  table: CsvTable | null;
}

/** A file that is in none of the formats, or says it is and is not; the message is for the person. */
export class LibraryFileError extends Error {}

interface Said {
  /** The format, where it is not to be told from the file. */
  from?: FormatFacts;
  /** What the columns of a table hold. */
  columns?: CsvColumns;
}

/** Reads a library from a file's bytes, whatever its format. Throws a LibraryFileError, with the line where there is one. */
export async function readLibrary(
  fileName: string,
  bytes: Uint8Array,
  { from, columns }: Said = {},
): Promise<ReadLibrary> {
  try {
    if (from ? !isText(from) : isPicture(bytes)) return await readPicture(bytes, from ?? null);
    const text = textOf(bytes);
    const format = from && isText(from) ? from : formatOf(fileName, text);
    if (!format)
      throw new LibraryFileError(
        'Neither its name nor what is in it says which format this is. Import one of the formats that libraries are exported to, a picture of a swatch card, or a text with colours in it.',
      );
    if (format === csv) {
      const table = readTable(text);
      if (columns) return { format, table, library: readRows(table, columns) };
      return { format, table, library: table.columns ? readRows(table, table.columns) : EMPTY };
    }
    return { format, library: format.read(text), table: null };
  } catch (error) {
    if (error instanceof FormatError) throw new LibraryFileError(error.message);
    // Refusals of pictures are sentences for the person already.
    if (error instanceof ServiceError) throw new LibraryFileError(error.message);
    throw error;
  }
}

const EMPTY: LibraryFile = { name: '', note: '', tags: [], swatches: [] };

/** By the first bytes of the kinds of picture that are read; a vector picture is a text. */
function isPicture(bytes: Uint8Array): boolean {
  const start = Buffer.from(bytes.subarray(0, 12)).toString('latin1');
  return (
    isPng(bytes) ||
    start.startsWith('\xff\xd8\xff') ||
    start.startsWith('GIF8') ||
    (start.startsWith('RIFF') && start.slice(8) === 'WEBP') ||
    start.startsWith('II*\0') ||
    start.startsWith('MM\0*') ||
    start.slice(4, 8) === 'ftyp'
  );
}

async function readPicture(bytes: Uint8Array, expected: FormatFacts | null): Promise<ReadLibrary> {
  const carried = expected?.id !== CARD.id && isPng(bytes) ? embeddedLibrary(bytes) : null;
  if (carried) return { format: pngChart, library: carried, table: null };
  if (expected?.id === pngChart.id)
    throw new LibraryFileError('This picture carries no library; it can be read as a swatch card.');
  const { working } = await makeWorkingCopy(bytes);
  return { format: CARD, library: readCard(working), table: null };
}

/** A library as the bytes of a file. */
export async function writeLibrary(library: LibraryFile, format: FormatFacts): Promise<Uint8Array> {
  if (isText(format)) return new TextEncoder().encode(format.write(library));
  if (format.id === pngChart.id) return drawChart(library);
  throw new RangeError(`nothing writes ${format.id}`);
}

/** Formats that a library can be read from, by the names they are asked for. */
export function readableFormat(id: string): FormatFacts | null {
  return id === CARD.id ? CARD : formatById(id);
}

export const READABLE = [...FORMATS, CARD];
