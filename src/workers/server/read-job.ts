import type { CsvColumns } from '@/core/formats/csv-columns';
import type { CsvTable } from '@/core/formats/csv';
import { formatById } from '@/core/formats/formats';
import type { LibraryFile } from '@/core/formats/library-file';
import { readingError, readText } from '@/core/formats/read-text';

/** A text file to read a library from. Files come from strangers, so they are read in a thread that can be ended. */
export interface ReadJob {
  fileName: string;
  bytes: Uint8Array;
  /** The id of the format, or null where the file tells. */
  from: string | null;
  columns: CsvColumns | null;
}

export type ReadJobResult =
  { format: string; library: LibraryFile; table: CsvTable | null } | { error: string };

export function readJob({ fileName, bytes, from, columns }: ReadJob): ReadJobResult {
  try {
    const options = { from: formatById(from ?? '') ?? undefined, columns: columns ?? undefined };
    const { format, library, table } = readText(fileName, bytes, options);
    return { format: format.id, library, table };
  } catch (error) {
    const message = readingError(error);
    if (message === null) throw error;
    return { error: message };
  }
}
