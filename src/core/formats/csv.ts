import { cutText } from '../text';
import Papa from 'papaparse';
import { hexFromOklab } from '../colour/hex';
import { ROLES } from '../palette/proportion';
import {
  columnsByCells,
  columnsByHeader,
  colourSet,
  fullChannel,
  numberOf,
  rowColour,
  withName,
  type CsvColumns,
} from './csv-columns';
import {
  bareSwatch,
  FormatError,
  MAX_LIBRARY_SWATCHES,
  type FileSwatch,
  type LibraryFile,
  type LibraryFormat,
} from './library-file';

const HEADER = [
  'name',
  'other names',
  'note',
  'role',
  'share',
  'hex',
  'oklab L',
  'oklab a',
  'oklab b',
];
/** Between several names in one cell; a name that holds it itself is doubled. */
const BETWEEN = ';';
const MAX_COLUMNS = 1000;
/** What spreadsheets would take for a formula, and the sign that keeps them from it. */
const FORMULA = /^[\t\r\n]|^\s*['=+\-@\uff1d\uff0b\uff0d\uff20]/;

/** A CSV text as its cells, and which column holds what as far as that can be told. */
export interface CsvTable {
  /** The header's cells; empty where there is none. */
  header: string[];
  rows: string[][];
  /** The line in the file that each row begins on, from 1. */
  lines: number[];
  columns: CsvColumns | null;
}

/**
 * Comma-separated values (RFC 4180), for spreadsheets: a header and a row a swatch, colours as OKLab at full
 * precision with hex beside them. Reading takes any table with a column of colours, whatever parts its cells.
 */
export const csv: LibraryFormat = {
  id: 'csv',
  title: 'CSV table',
  extension: 'csv',
  mediaType: 'text/csv',
  holds: ['swatch names', 'other names', 'swatch notes', 'roles', 'shares', 'exact colour'],

  write: ({ swatches }) =>
    Papa.unparse(
      [
        HEADER,
        ...swatches.map(({ name, otherNames, note, role, share, colour }) => [
          safe(name),
          safe(joined(otherNames)),
          safe(note),
          role ?? '',
          share === null ? '' : String(share),
          hexFromOklab(colour),
          String(colour.L),
          String(colour.a),
          String(colour.b),
        ]),
      ],
      { newline: '\r\n' },
    ) + '\r\n',

  read: (text) => {
    const table = readTable(text);
    if (!table.columns)
      throw new FormatError(
        1,
        'no column holds colours; say which one does, and bring it in again.',
      );
    return readRows(table, table.columns);
  },
};

/** The cells of a text and what its columns seem to hold. Throws a FormatError for what is no table. */
export function readTable(text: string): CsvTable {
  // The delimiter is guessed from lines that hold something; empty ones still count as lines.
  const { delimiter } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', preview: 20 }).meta;
  const { data, errors } = Papa.parse<string[]>(text, { delimiter });
  const broken = errors.find(({ type }) => type === 'Quotes');
  if (broken) throw new FormatError((broken.row ?? 0) + 1, 'a quotation mark is not closed.');
  const rows: string[][] = [];
  const lines: number[] = [];
  let line = 1;
  for (const row of data) {
    if (row.length > MAX_COLUMNS)
      throw new FormatError(line, `there are more than ${MAX_COLUMNS} columns.`);
    if (row.some((cell) => cell.trim() !== '')) {
      rows.push(row);
      lines.push(line);
    }
    line += 1 + row.reduce((sum, cell) => sum + (cell.match(/\r\n|\n|\r/g)?.length ?? 0), 0);
  }
  if (rows.length > MAX_LIBRARY_SWATCHES + 1)
    throw new FormatError(
      lines[MAX_LIBRARY_SWATCHES + 1],
      `there are more than ${MAX_LIBRARY_SWATCHES} rows.`,
    );
  if (rows.length === 0) throw new FormatError(1, 'there is nothing in this table.');
  const named = columnsByHeader(rows[0]);
  if (named) {
    const body = rows.slice(1);
    const columns = named.name === undefined ? withName(named, body) : named;
    return { header: rows[0], rows: body, lines: lines.slice(1), columns };
  }
  const plain = columnsByCells(rows);
  if (plain && rowColour(rows[0], plain, fullChannel(rows, plain)))
    return { header: [], rows, lines, columns: plain };
  // A header of unknown words over colours, or nothing that can be told.
  return {
    header: rows[0],
    rows: rows.slice(1),
    lines: lines.slice(1),
    columns: rows.length > 1 ? columnsByCells(rows.slice(1)) : null,
  };
}

/** The library that a table holds, its columns as they are said to be. Throws a FormatError with the line. */
export function readRows({ header, rows, lines }: CsvTable, columns: CsvColumns): LibraryFile {
  if (!colourSet(columns)) throw new FormatError(1, 'no column is said to hold the colour.');
  const most = fullChannel(rows, columns);
  const ours = HEADER.every((word, at) => header[at] === word);
  const swatches = rows.map((row, i): FileSwatch => {
    const colour = rowColour(row, columns, most);
    if (!colour)
      throw new FormatError(lines[i], 'there is no colour in the column that holds them.');
    const cell = (at: number | undefined) => (at === undefined ? '' : (row[at] ?? ''));
    const plain = (at: number | undefined) => (ours ? bare(cell(at)) : cell(at).trim());
    const role = cell(columns.role).trim();
    return {
      ...bareSwatch(plain(columns.name), colour),
      otherNames: parted(plain(columns['other names'])),
      note: cutText(plain(columns.note), 4000),
      role: ROLES.find((one) => one === role) ?? null,
      share: shareOf(cell(columns.share)),
    };
  });
  return { name: '', note: '', tags: [], swatches };
}

function shareOf(cell: string): number | null {
  const number = numberOf(cell);
  if (!Number.isFinite(number) || number < 0) return null;
  const share = cell.includes('%') || number > 1 ? number / 100 : number;
  return share <= 1 ? share : null;
}

function joined(names: readonly string[]): string {
  return names.map((name) => name.replaceAll(BETWEEN, BETWEEN + BETWEEN)).join(`${BETWEEN} `);
}

function parted(cell: string): string[] {
  const names: string[] = [''];
  for (let i = 0; i < cell.length; i++) {
    if (cell[i] !== BETWEEN) names[names.length - 1] += cell[i];
    else if (cell[i + 1] === BETWEEN) names[names.length - 1] += cell[i++];
    else names.push('');
  }
  return names
    .map((name) => cutText(name.trim(), 200))
    .filter(Boolean)
    .slice(0, 20);
}

/** A cell that no spreadsheet takes for a formula, and back. */
function safe(cell: string): string {
  return FORMULA.test(cell) ? `'${cell}` : cell;
}

function bare(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
}
