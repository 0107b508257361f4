import Papa from 'papaparse';
import { OPACITIES } from '@/core/mixing/pigment';
import { pigmentOf } from '@/core/mixing/pigments/pigments';
import { STANDINGS, tubeSchema, type ShelfTube, type Standing } from '@/contracts/shelf';
import type { NewId } from './edits';
import { plainCell, safeCell } from './table-cells';

const HEADER = [
  'name',
  'maker',
  'number',
  'pigments',
  'strength',
  'opacity',
  'where',
  'price per ml',
] as const;
type Column = (typeof HEADER)[number];

const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  palette: 'on the palette',
  off: 'kept off it',
  wish: 'wished for',
};
const MAX_ROWS = 1000;

/** A line of a table that is no tube, and why. */
export interface TableProblem {
  /** From 1, the header's. */
  line: number;
  why: string;
}

/** Tubes as comma-separated values (RFC 4180) with a header; pigments of one tube stand with a plus between. */
export function tableOfTubes(tubes: readonly ShelfTube[]): string {
  return `${Papa.unparse({
    fields: [...HEADER],
    data: tubes.map(
      ({ name, maker, number, pigments, strength, opacity, standing, pricePerMl }) => [
        safeCell(name),
        safeCell(maker),
        safeCell(number),
        pigments.join(' + '),
        String(strength),
        opacity ?? '',
        STANDING_WORDS[standing],
        pricePerMl === null ? '' : String(pricePerMl),
      ],
    ),
  })}\r\n`;
}

/**
 * The tubes of a table with a header in any order, whatever parts its cells; a name and pigments are needed, the rest
 * may be missing. Lines that are no tube are told and left out. Throws a RangeError for a text that is no such table.
 */
export function tubesOfTable(
  text: string,
  newId: NewId,
): { tubes: ShelfTube[]; problems: TableProblem[] } {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, '').trimEnd(), {
    skipEmptyLines: false,
  });
  const header = (data[0] ?? []).map((cell) => cell.trim().toLowerCase());
  const at = (column: Column) => header.indexOf(column);
  if (at('name') < 0 || at('pigments') < 0)
    throw new RangeError(
      `No table of tubes: its first line has to name the columns ${HEADER.slice(0, 4).join(', ')} …`,
    );
  const tubes: ShelfTube[] = [];
  const problems: TableProblem[] = [];
  for (const [i, row] of data.slice(1, MAX_ROWS + 1).entries()) {
    if (row.every((cell) => cell.trim() === '')) continue;
    const cell = (column: Column) => plainCell(row[at(column)]);
    const parsed = tubeSchema.safeParse({
      id: newId(),
      name: cell('name'),
      maker: cell('maker'),
      number: cell('number'),
      pigments: pigmentsIn(cell('pigments')),
      strength: numberIn(cell('strength'), 1),
      opacity: cell('opacity').toLowerCase() || null,
      standing: standingIn(cell('where')),
      pricePerMl: numberIn(cell('price per ml'), null),
      card: null,
    });
    if (parsed.success) tubes.push(parsed.data);
    else problems.push({ line: i + 2, why: whyOf(cell, parsed.error.issues[0].message) });
  }
  return { tubes, problems };
}

/** Names as we write them where they are known, else as they stand. */
function pigmentsIn(text: string): string[] {
  return text
    .split(/[+/;]/)
    .map((name) => name.trim())
    .filter(Boolean)
    .map((name) => pigmentOf(name)?.id ?? name);
}

/** A number with a point or a comma; what is none stays NaN, so that it is refused. */
function numberIn<T>(text: string, missing: T): number | T {
  return text === '' ? missing : Number(text.replace(',', '.'));
}

const standingIn = (text: string): Standing =>
  STANDINGS.find(
    (one) => one === text.toLowerCase() || STANDING_WORDS[one] === text.toLowerCase(),
  ) ?? 'palette';

function whyOf(cell: (column: Column) => string, message: string): string {
  const unknown = pigmentsIn(cell('pigments')).find((name) => pigmentOf(name) === null);
  if (unknown !== undefined) return `no pigment is known as “${unknown}”`;
  if (Number.isNaN(numberIn(cell('strength'), 1))) return `“${cell('strength')}” is no strength`;
  if (Number.isNaN(numberIn(cell('price per ml'), 0)))
    return `“${cell('price per ml')}” is no price`;
  if (cell('opacity') && !OPACITIES.some((one) => one === cell('opacity').toLowerCase()))
    return `“${cell('opacity')}” is no opacity: ${OPACITIES.join(', ')}`;
  return message.replace(/\.$/, '').toLowerCase();
}
