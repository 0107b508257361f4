import { writeFile } from 'node:fs/promises';
import { formatByEnding, formatById, FORMATS, formatOf } from '../src/core/formats/formats';
import { FormatError, loses, type LibraryFormat } from '../src/core/formats/library-file';

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
  const text = new TextDecoder().decode(bytes);
  const source = from === undefined ? formatOf(inFile, text) : named('--from', from);
  if (!source) throw new ConvertError(`${inFile}: can't tell its format; say --from`);
  const target = to === undefined ? formatByEnding(outFile) : named('--to', to);
  if (!target) throw new ConvertError(`${outFile}: can't tell a format by this ending; say --to`);
  const library = read(source, text, inFile);
  await writeFile(outFile, target.write(library));
  const kept = loses(source);
  return {
    from: source.id,
    to: target.id,
    swatches: library.swatches.length,
    // What the first format could not hold either is not lost on this way.
    lost: loses(target).filter((holding) => !kept.includes(holding)),
  };
}

function named(option: string, id: string): LibraryFormat {
  const format = formatById(id);
  if (!format)
    throw new ConvertError(
      `${option} takes one of ${FORMATS.map((one) => one.id).join(', ')}, not “${id}”`,
    );
  return format;
}

function read(format: LibraryFormat, text: string, file: string) {
  try {
    const library = format.read(text);
    if (library.swatches.length === 0)
      throw new ConvertError(`${file}: there are no colours in it`);
    return library;
  } catch (error) {
    if (error instanceof FormatError) throw new ConvertError(`${file}: ${error.message}`);
    throw error;
  }
}
