import { bytesFromOklab, oklabFromBytes } from '../colour/hex';
import {
  bareSwatch,
  FormatError,
  oneLine,
  type FileSwatch,
  type LibraryFormat,
} from './library-file';

const MAGIC = 'GIMP Palette';
const COLUMNS = 8;
/** Programs pad channels to three places; a name follows after white space. */
const COLOUR_LINE = /^(\d+)\s+(\d+)\s+(\d+)(?=\s|$)/;

/**
 * GPL, the plain-text palette that open-source image programs share: a first line that names the
 * kind, `Name:` and `Columns:` lines, comments behind `#`, then a line `R G B name` for each colour.
 * It holds 8-bit colours and one-line names; comments are passed over.
 */
export const gpl: LibraryFormat = {
  id: 'gpl',
  title: 'GPL palette',
  extension: 'gpl',
  mediaType: 'text/plain',
  holds: ['name', 'swatch names', '8-bit colour'],

  write: (library) => {
    const head = [MAGIC, `Name: ${oneLine(library.name)}`, `Columns: ${COLUMNS}`, '#'];
    const colours = library.swatches.map(({ name, colour }) => {
      const channels = bytesFromOklab(colour).map((byte) => String(byte).padStart(3));
      return `${channels.join(' ')}\t${oneLine(name)}`;
    });
    return [...head, ...colours, ''].join('\n');
  },

  read: (text) => {
    const lines = text.split(/\r\n|\n|\r/);
    if (lines[0].trim() !== MAGIC)
      throw new FormatError(1, `a GPL palette begins with “${MAGIC}”.`);
    let name = '';
    const swatches: FileSwatch[] = [];
    lines.slice(1).forEach((line, i) => {
      const trimmed = line.trim();
      if (trimmed === '' || trimmed.startsWith('#')) return;
      if (trimmed.startsWith('Name:') && swatches.length === 0) {
        name = trimmed.slice('Name:'.length).trim();
        return;
      }
      if (/^(Columns|Channels):/.test(trimmed) && swatches.length === 0) return;
      swatches.push(readColour(trimmed, i + 2));
    });
    return { name, note: '', tags: [], swatches };
  },
};

function readColour(line: string, number: number): FileSwatch {
  const match = COLOUR_LINE.exec(line);
  if (!match)
    throw new FormatError(number, `“${line.slice(0, 40)}” is not three numbers and a name.`);
  const bytes = [Number(match[1]), Number(match[2]), Number(match[3])] as [number, number, number];
  if (bytes.some((byte) => byte > 255))
    throw new FormatError(number, `${bytes.join(' ')} goes beyond 255.`);
  return bareSwatch(line.slice(match[0].length).trim(), oklabFromBytes(bytes));
}
