import { oklabFromLab } from '../colour/cielab';
import { toGamut } from '../colour/gamut';
import { oklabFromHex } from '../colour/hex';
import { oklabFromRgb, type Oklab } from '../colour/oklab';
import { coloursIn } from './colour-text';

/** What a column of a table can hold of a swatch. */
export const CSV_PARTS = [
  'name',
  'other names',
  'note',
  'role',
  'share',
  'colour',
  'red',
  'green',
  'blue',
  'L*',
  'a*',
  'b*',
  'oklab L',
  'oklab a',
  'oklab b',
] as const;
export type CsvPart = (typeof CSV_PARTS)[number];

/** For each part the column it stands in, from 0; parts that are left out are in none. */
export type CsvColumns = Partial<Record<CsvPart, number>>;

/** The words that columns of other programs go by, in lower case without marks around them. */
const HEADERS: Record<CsvPart, readonly string[]> = {
  name: ['name', 'title', 'colour name', 'color name', 'swatch', 'label'],
  'other names': ['other names', 'aliases', 'also', 'code'],
  note: ['note', 'notes', 'comment', 'comments', 'description', 'remark'],
  role: ['role'],
  share: ['share', '%', 'percent', 'proportion', 'area'],
  colour: ['hex', 'colour', 'color', 'html', 'css', 'rgb', 'value', 'hex code', 'web'],
  red: ['r', 'red'],
  green: ['g', 'green'],
  blue: ['b', 'blue'],
  'L*': ['l*', 'lab l', 'cielab l', 'lightness', 'l'],
  'a*': ['a*', 'lab a', 'cielab a', 'a'],
  'b*': ['b*', 'lab b', 'cielab b'],
  'oklab L': ['oklab l'],
  'oklab a': ['oklab a'],
  'oklab b': ['oklab b'],
};

/** Sets of columns that together are a colour, the most exact first. */
const COLOUR_SETS = [
  ['oklab L', 'oklab a', 'oklab b'],
  ['L*', 'a*', 'b*'],
  ['colour'],
  ['red', 'green', 'blue'],
] as const satisfies readonly (readonly CsvPart[])[];

/** The parts of the colour that some columns give; null where none is whole. */
export function colourSet(columns: CsvColumns): readonly CsvPart[] | null {
  return (
    COLOUR_SETS.find((set) => set.every((part: CsvPart) => columns[part] !== undefined)) ?? null
  );
}

/** Which column holds what, by the words of a header; null where they are no header of colours. */
export function columnsByHeader(header: readonly string[]): CsvColumns | null {
  const words = header.map((cell) =>
    cell
      .trim()
      .toLowerCase()
      .replace(/^[^\p{L}\p{N}%]+|[^\p{L}\p{N}%*]+$/gu, ''),
  );
  const columns: CsvColumns = {};
  for (const part of CSV_PARTS) {
    const found = HEADERS[part].map((word) => words.indexOf(word)).find((at) => at >= 0);
    if (found !== undefined) columns[part] = found;
  }
  // A lone b is blue beside r and g, and b* beside l and a.
  if (columns['L*'] !== undefined && columns['a*'] !== undefined && columns['b*'] === undefined) {
    if (columns.red === undefined && columns.blue !== undefined) {
      columns['b*'] = columns.blue;
      delete columns.blue;
    }
  }
  return colourSet(columns) ? columns : null;
}

/** Guesses the columns by their contents: the first that holds colours, and the first that holds words. */
export function columnsByCells(rows: readonly (readonly string[])[]): CsvColumns | null {
  const width = Math.max(0, ...rows.map((row) => row.length));
  const counts = Array.from(
    { length: width },
    (_, at) => rows.filter((row) => colourCell(row[at] ?? '') !== null).length,
  );
  const best = counts.indexOf(Math.max(...counts));
  if (best >= 0 && counts[best] * 2 > rows.length) return withName({ colour: best }, rows);
  for (let at = 0; at + 2 < width; at++)
    if (rows.every((row) => [0, 1, 2].every((k) => isByte(row[at + k]))))
      return withName({ red: at, green: at + 1, blue: at + 2 }, rows);
  return null;
}

/** With the first column of words as the name, where none is known. */
export function withName(columns: CsvColumns, rows: readonly (readonly string[])[]): CsvColumns {
  const taken = new Set(Object.values(columns));
  const width = Math.max(0, ...rows.map((row) => row.length));
  for (let at = 0; at < width; at++)
    if (!taken.has(at) && rows.some((row) => /\p{L}/u.test(row[at] ?? '')))
      return { ...columns, name: at };
  return columns;
}

function isByte(cell: string | undefined): boolean {
  return /^\s*\d{1,3}\s*$/.test(cell ?? '') && Number(cell) <= 255;
}

/** The colour that one cell is. */
function colourCell(cell: string): Oklab | null {
  const found = coloursIn(cell);
  if (found.length > 0) return found[0].colour;
  const three = /^\s*(\d{1,3})[\s,;]+(\d{1,3})[\s,;]+(\d{1,3})\s*$/.exec(cell);
  if (three) return bytesColour(three.slice(1).map(Number), 255);
  return /^\s*[0-9a-f]{6}\s*$/i.test(cell) ? oklabFromHex(cell) : null;
}

/** The colour of a row; null where its cells are no colour. `most` is what stands for a full channel. */
export function rowColour(row: readonly string[], columns: CsvColumns, most: number): Oklab | null {
  const set = colourSet(columns);
  if (!set) return null;
  const cells = set.map((part) => row[columns[part] ?? -1] ?? '');
  if (set.length === 1) return colourCell(cells[0]);
  const numbers = cells.map(numberOf);
  if (!numbers.every(Number.isFinite)) return null;
  const [one, two, three] = numbers;
  if (set[0] === 'red') return bytesColour(numbers, most);
  if (set[0] === 'L*')
    return one < 0 || one > 100 ? null : sound(oklabFromLab({ L: one, a: two, b: three }), true);
  return sound({ L: one, a: two, b: three }, false);
}

/** What stands for a full channel in a table's red, green and blue: 1, 100 where they are per cents, or 255. */
export function fullChannel(rows: readonly (readonly string[])[], columns: CsvColumns): number {
  const cells = rows.flatMap((row) =>
    (['red', 'green', 'blue'] as const).map((part) => row[columns[part] ?? -1] ?? ''),
  );
  if (cells.some((cell) => cell.includes('%'))) return 100;
  const numbers = cells.map(numberOf).filter(Number.isFinite);
  const most = Math.max(0, ...numbers);
  return most <= 1 && numbers.some((n) => !Number.isInteger(n)) ? 1 : 255;
}

/** A number with a point or, as half the world writes it, a comma; a per cent sign behind is passed over. */
export function numberOf(cell: string): number {
  const bare = cell.trim().replace(/%$/, '').trim();
  return /^[-+]?(\d+([.,]\d*)?|[.,]\d+)(e[-+]?\d+)?$/i.test(bare)
    ? Number(bare.replace(',', '.'))
    : NaN;
}

function bytesColour(channels: readonly number[], most: number): Oklab | null {
  if (channels.some((channel) => channel < 0 || channel > most)) return null;
  const [r, g, b] = channels.map((channel) => channel / most);
  return oklabFromRgb({ r, g, b });
}

/** Within what a swatch may be; a CIELAB colour beyond what a screen shows is brought in. */
function sound(colour: Oklab, mend: boolean): Oklab | null {
  const within =
    colour.L >= 0 && colour.L <= 1 && Math.abs(colour.a) <= 0.5 && Math.abs(colour.b) <= 0.5;
  if (within) return colour;
  if (!mend || !Number.isFinite(colour.a) || !Number.isFinite(colour.b)) return null;
  return toGamut({ ...colour, L: Math.min(1, Math.max(0, colour.L)) });
}
