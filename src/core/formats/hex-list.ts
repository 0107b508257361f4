import { hexFromOklab } from '../colour/hex';
import { coloursIn } from './colour-text';
import {
  bareSwatch,
  FormatError,
  MAX_LIBRARY_SWATCHES,
  oneLine,
  type FileSwatch,
  type LibraryFormat,
} from './library-file';

/**
 * A plain list: `#rrggbb` and a name on each line. Reading takes any text that holds colours, each as one
 * swatch; what stands beside a colour on its line is its name.
 */
export const hexList: LibraryFormat = {
  id: 'hex',
  title: 'hex list',
  extension: 'txt',
  mediaType: 'text/plain',
  holds: ['swatch names', '8-bit colour'],

  write: ({ swatches }) =>
    swatches.map(({ name, colour }) => `${hexFromOklab(colour)} ${oneLine(name)}\n`).join(''),

  read: (text) => {
    const swatches: FileSwatch[] = [];
    const lines = text.split(/\r\n|\n|\r/);
    lines.forEach((line, i) => {
      const found = coloursIn(line);
      if (swatches.length + found.length > MAX_LIBRARY_SWATCHES)
        throw new FormatError(i + 1, `there are more than ${MAX_LIBRARY_SWATCHES} colours.`);
      for (const [k, { colour, end }] of found.entries())
        swatches.push(bareSwatch(nameBeside(line, found, k, end), colour));
    });
    if (swatches.length === 0) throw new FormatError(1, 'there is no colour in this text.');
    return { name: '', note: '', tags: [], swatches };
  },
};

/** What follows a colour on its line up to the next one; before the only one of its line if nothing follows. */
function nameBeside(
  line: string,
  found: readonly { start: number }[],
  k: number,
  end: number,
): string {
  const after = line.slice(end, found[k + 1]?.start ?? line.length);
  const before = found.length === 1 ? line.slice(0, found[0].start) : '';
  // What joins a colour to its name, or a list's signs, is no part of the name.
  const bare = (words: string) => oneLine(words.replace(/^[\s:;,=|"'*-]+|[\s:;,=|"'([]+$/g, ''));
  return bare(after) || bare(before);
}
