import { writeFile } from 'node:fs/promises';
import { formatByEnding, formatById, FORMATS } from '../src/core/formats/formats';
import { loses } from '../src/core/formats/library-file';
import {
  LibraryFileError,
  READABLE,
  readableFormat,
  readLibrary,
  writeLibrary,
} from '../src/server/files/library-bytes';

/** A file or a format that can't be converted; the message is for the person. */
export class ConvertError extends Error {}

export interface Converted {
  from: string;
  to: string;
  swatches: number;
  /** What the file held and the format it went to can't hold. */
  lost: string[];
}

/**
 * Converts a swatch library from one format to another: by the files' endings and what is in them, or as `from` and
 * `to` say. Throws a ConvertError for what can't be read or told, and then writes nothing.
 */
export async function convert(
  bytes: Uint8Array,
  inFile: string,
  outFile: string,
  { from, to }: { from?: string; to?: string },
): Promise<Converted> {
  const source = from === undefined ? undefined : readableFormat(from);
  if (source === null) throw unknown('--from', from, READABLE);
  const target = to === undefined ? formatByEnding(outFile) : formatById(to);
  if (!target && to !== undefined) throw unknown('--to', to, FORMATS);
  if (!target) throw new ConvertError(`${outFile}: can't tell a format by this ending; say --to`);
  try {
    const { format, library } = await readLibrary(inFile, bytes, { from: source });
    if (library.swatches.length === 0)
      throw new LibraryFileError(
        'there are no colours in it, or no column that is told to hold them',
      );
    await writeFile(outFile, await writeLibrary(library, target));
    const kept = loses(format);
    return {
      from: format.id,
      to: target.id,
      swatches: library.swatches.length,
      // What the first format could not hold either is not lost on this way.
      lost: loses(target).filter((holding) => !kept.includes(holding)),
    };
  } catch (error) {
    if (error instanceof LibraryFileError) throw new ConvertError(`${inFile}: ${error.message}`);
    throw error;
  }
}

function unknown(option: string, id = '', formats: readonly { id: string }[]): ConvertError {
  return new ConvertError(
    `${option} takes one of ${formats.map((one) => one.id).join(', ')}, not “${id}”`,
  );
}
