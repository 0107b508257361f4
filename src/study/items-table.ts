import Papa from 'papaparse';
import { hexFromOklab, oklabFromHex } from '@/core/colour/hex';
import { ITEM_STANDINGS, itemSchema, type ShelfItem, type ItemStanding } from '@/contracts/shelf';
import type { NewId } from './edits';
import type { TableProblem } from './shelf-table';
import { plainCell, safeCell } from './table-cells';

const HEADER = ['name', 'set', 'number', 'colour', 'where'] as const;
type Column = (typeof HEADER)[number];

export const ITEM_STANDING_WORDS: Readonly<Record<ItemStanding, string>> = {
  here: 'to hand',
  away: 'not here today',
  gone: 'worn down or lost',
};
const MAX_ROWS = 2000;

/** Sticks, pencils or inks as comma-separated values (RFC 4180) with a header; colours as `#rrggbb`. */
export function tableOfItems(items: readonly ShelfItem[]): string {
  return `${Papa.unparse({
    fields: [...HEADER],
    data: items.map(({ name, set, number, colour, standing }) => [
      safeCell(name),
      safeCell(set),
      safeCell(number),
      hexFromOklab(colour),
      ITEM_STANDING_WORDS[standing],
    ]),
  })}\r\n`;
}

/**
 * The items of a table with a header in any order; a name and a colour are needed, the rest may be missing. Lines that
 * are no item are told and left out. Throws a RangeError for a text that is no such table.
 */
export function itemsOfTable(
  text: string,
  newId: NewId,
): { items: ShelfItem[]; problems: TableProblem[] } {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, '').trimEnd(), {
    skipEmptyLines: false,
  });
  const header = (data[0] ?? []).map((cell) => cell.trim().toLowerCase());
  const at = (column: Column) => header.indexOf(column);
  if (at('name') < 0 || at('colour') < 0)
    throw new RangeError(
      `No such table: its first line has to name the columns ${HEADER.join(', ')}.`,
    );
  const items: ShelfItem[] = [];
  const problems: TableProblem[] = [];
  for (const [i, row] of data.slice(1, MAX_ROWS + 1).entries()) {
    if (row.every((cell) => cell.trim() === '')) continue;
    const cell = (column: Column) => plainCell(row[at(column)]);
    const colour = oklabFromHex(cell('colour'));
    const parsed = itemSchema.safeParse({
      id: newId(),
      name: cell('name'),
      set: cell('set'),
      number: cell('number'),
      colour: colour ?? undefined,
      standing: standingIn(cell('where')),
    });
    if (parsed.success) items.push(parsed.data);
    else
      problems.push({
        line: i + 2,
        why: colour
          ? parsed.error.issues[0].message.replace(/\.$/, '').toLowerCase()
          : `“${cell('colour')}” is no colour as #rrggbb`,
      });
  }
  return { items, problems };
}

const standingIn = (text: string): ItemStanding =>
  ITEM_STANDINGS.find(
    (one) => one === text.toLowerCase() || ITEM_STANDING_WORDS[one] === text.toLowerCase(),
  ) ?? 'here';
