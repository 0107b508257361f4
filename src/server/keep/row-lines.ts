/** A study with all its strokes takes less; what is longer is no row of ours. */
const MAX_LINE_BYTES = 64 * 1024 * 1024;
const NEWLINE = 10;

/**
 * The lines of a file as it is read, each parsed as JSON. Throws a RangeError with the number (from 1) of the first
 * line that is empty, too long or no JSON.
 */
export async function* jsonLines(
  source: AsyncIterable<Uint8Array | string>,
): AsyncGenerator<unknown> {
  let parts: Buffer[] = [];
  let size = 0;
  let number = 1;
  const parsed = (): unknown => {
    try {
      return JSON.parse(Buffer.concat(parts).toString('utf8'));
    } catch {
      throw new RangeError(`line ${number} is no row`);
    }
  };
  for await (const chunk of source) {
    const bytes = Buffer.from(chunk as Uint8Array);
    let from = 0;
    for (let end = bytes.indexOf(NEWLINE); end >= 0; end = bytes.indexOf(NEWLINE, from)) {
      parts.push(bytes.subarray(from, end));
      yield parsed();
      parts = [];
      size = 0;
      number++;
      from = end + 1;
    }
    const rest = bytes.subarray(from);
    size += rest.length;
    if (size > MAX_LINE_BYTES) throw new RangeError(`line ${number} is too long`);
    if (rest.length > 0) parts.push(rest);
  }
  if (size > 0) yield parsed();
}
