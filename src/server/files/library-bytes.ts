import { readCard } from '@/core/formats/card';
import { formatById, FORMATS, isText } from '@/core/formats/formats';
import type { FormatFacts, LibraryFile } from '@/core/formats/library-file';
import {
  readingError,
  readText,
  type ReadLibrary,
  type ReadOptions,
} from '@/core/formats/read-text';
import { runRead } from '@/workers/server/pool';
import { embeddedLibrary, pngChart } from '@/core/formats/png-chart';
import { isPng } from '@/core/formats/png-text';
import { looksLikePicture } from '../pictures/picture-kind';
import { makeWorkingCopy } from '../pictures/read-picture';
import { ServiceError } from '../errors';
import { semaphore } from '../semaphore';
import { drawChart } from './draw-chart';

/** A picture of a swatch card can be imported; nothing is written as one. */
export const CARD: FormatFacts = {
  id: 'card',
  title: 'picture of a swatch card',
  extension: 'jpg',
  mediaType: 'image/*',
  holds: ['8-bit colour'],
};

/** A file that is in none of the formats, or says it is and is not; the message is for the person. */
export class LibraryFileError extends Error {}

export type TextReader = (
  fileName: string,
  bytes: Uint8Array,
  options: ReadOptions,
) => ReadLibrary | Promise<ReadLibrary>;

/**
 * Reads a library from a file's bytes, whatever its format; `asText` reads what is no picture. Throws a
 * LibraryFileError, with the line where there is one.
 */
export async function readLibrary(
  fileName: string,
  bytes: Uint8Array,
  options: ReadOptions = {},
  asText: TextReader = readText,
): Promise<ReadLibrary> {
  const { from } = options;
  try {
    if (from ? !isText(from) : looksLikePicture(bytes))
      return await readPicture(bytes, from ?? null);
    return await asText(fileName, bytes, options);
  } catch (error) {
    const message = readingError(error);
    if (message !== null) throw new LibraryFileError(message);
    // Refusals of pictures are sentences for the person already.
    if (error instanceof ServiceError) throw new LibraryFileError(error.message);
    throw error;
  }
}

/** The time of a file begins when it is read, not while it waits for the one before it. */
const oneAtATime = semaphore(1);

/** Reads a text where it can take neither the server's time nor its memory. */
export const readTextInWorker: TextReader = async (fileName, bytes, { from, columns }) => {
  try {
    const job = { fileName, bytes, from: from?.id ?? null, columns: columns ?? null };
    const result = await oneAtATime(() => runRead(job));
    if ('error' in result) throw new LibraryFileError(result.error);
    return { ...result, format: formatById(result.format)! };
  } catch (error) {
    const { name, code } = error as { name?: string; code?: string };
    if (name === 'AbortError' || code === 'ERR_WORKER_OUT_OF_MEMORY')
      throw new LibraryFileError(
        'This file takes too long or too much memory to read, which no swatch library does.',
      );
    throw error;
  }
};

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
