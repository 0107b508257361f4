import type { CsvColumns } from './csv-columns';
import { csv, readRows, readTable, type CsvTable } from './csv';
import { formatOf, isText } from './formats';
import { FormatError, type FormatFacts, type LibraryFile } from './library-file';
import { textOf } from './text-of';

export interface ReadLibrary {
  format: FormatFacts;
  library: LibraryFile;
  /** Of a table what is in its columns; what they hold may be said otherwise. */
  table: CsvTable | null;
}

export interface ReadOptions {
  /** The format, where it is not to be told from the file. */
  from?: FormatFacts;
  /** What the columns of a table hold. */
  columns?: CsvColumns;
}

const EMPTY: LibraryFile = { name: '', note: '', tags: [], swatches: [] };

/** Reads a library from the bytes of a text. Throws a FormatError, and a RangeError where no format fits. */
export function readText(
  fileName: string,
  bytes: Uint8Array,
  { from, columns }: ReadOptions = {},
): ReadLibrary {
  const text = textOf(bytes);
  const format = from && isText(from) ? from : formatOf(fileName, text);
  if (!format) throw new RangeError('no format fits');
  if (format !== csv) return { format, library: format.read(text), table: null };
  const table = readTable(text);
  const known = columns ?? table.columns;
  return { format, table, library: known ? readRows(table, known) : EMPTY };
}

/** Why a text could not be read, in a sentence for the person; null for an error that nobody foresaw. */
export function readingError(error: unknown): string | null {
  if (error instanceof FormatError) return error.message;
  if (error instanceof RangeError && error.message === 'no format fits')
    return 'Neither its name nor what is in it says which format this is. Import one of the formats that libraries are exported to, a picture of a swatch card, or a text with colours in it.';
  return null;
}
