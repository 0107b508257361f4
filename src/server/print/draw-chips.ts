import { greyOf } from '@/core/colour/grey-of';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { recipeCautions, recipeLines, type WithRecipes } from '@/core/mixing/swatch-recipe';
import { valueOfOklab } from '@/core/colour/value';
import { onScale, type ValueScale } from '@/core/colour/value-scale';
import { wrapped } from '../fonts/runs';
import { yieldToEventLoop } from '../yield-to-event-loop';
import { MM, type Sheet } from './paper';
import type { Pen } from './pen';

export interface PrintedSwatch extends WithRecipes {
  name: string;
  note: string;
  colour: Oklab;
  share: number | null;
}

/** The part of a chip that is its grey. */
const GREY_PART = 0.25;
const GUTTER = 4 * MM;
const RULED = 5.2 * MM;

/** Lines of print stand so far apart, in sizes of their type. */
const LEADING = 1.35;
/** Lines that a printed recipe may take. */
const MAX_RECIPE_LINES = 6;

function recipeIn(swatch: PrintedSwatch, { type }: Sheet, room: number): string[] {
  return recipeLines(swatch).flatMap((words) =>
    wrapped(words, 'sans', type.small, room).slice(0, MAX_RECIPE_LINES),
  );
}

/** How tall the place of one swatch is, with room for the longest recipe of all. */
function cellHeight(swatches: readonly PrintedSwatch[], sheet: Sheet, room: number): number {
  const { chip, type, recipeLines: ruled, noteLines } = sheet;
  const longest = Math.max(0, ...swatches.map((one) => recipeIn(one, sheet, room).length));
  return (
    chip.height +
    type.text * 1.5 +
    type.small * LEADING * (1 + noteLines) +
    Math.max(ruled * RULED, longest * type.small * LEADING) +
    3 * MM
  );
}

/**
 * Swatches in rows, in their order: a chip of true size with its grey beside it, number and name, value, share and hex,
 * the note, and the recipe, or ruled lines for it; then what the recipes' paints ask for. `nextPage` answers where the
 * rows go on.
 */
export async function drawChips(
  pen: Pen,
  swatches: readonly PrintedSwatch[],
  scale: ValueScale,
  sheet: Sheet,
  top: number,
  bottom: number,
  nextPage: () => number,
): Promise<number> {
  const { chip, type, columns, margin, width } = sheet;
  const cell = (width - 2 * margin - (columns - 1) * GUTTER) / columns;
  const high = cellHeight(swatches, sheet, cell);
  let y = top;
  for (const [i, swatch] of swatches.entries()) {
    const column = i % columns;
    if (column === 0 && i > 0) y += high;
    if (column === 0 && y + high > bottom) {
      y = nextPage();
      await yieldToEventLoop();
    }
    drawCell(pen, swatch, i + 1, scale, sheet, margin + column * (cell + GUTTER), y, cell);
  }
  if (swatches.length > 0) y += high;
  for (const line of recipeCautions(swatches).flatMap((caution) =>
    wrapped(caution, 'sans', type.small, width - 2 * margin),
  )) {
    if (y + type.small * LEADING > bottom) y = nextPage();
    y += type.small * LEADING;
    pen.write(line, margin, y, { size: type.small, room: width - 2 * margin, soft: true });
  }
  return y;

  function drawCell(
    on: Pen,
    swatch: PrintedSwatch,
    number: number,
    onto: ValueScale,
    { noteLines, recipeLines: ruled }: Sheet,
    x: number,
    at: number,
    room: number,
  ): void {
    const { name, note, colour, share } = swatch;
    const grey = chip.width * GREY_PART;
    on.block(colour, x, at, chip.width - grey, chip.height);
    on.block(greyOf(colour), x + chip.width - grey, at, grey, chip.height);
    let line = at + chip.height + type.text * 1.15;
    on.write(`${number}  ${name}`, x, line, { face: 'bold', size: type.text, room });
    line += type.small * LEADING;
    const facts = [
      `value ${onScale(valueOfOklab(colour), onto).toFixed(1)}`,
      ...(share === null ? [] : [`${(share * 100).toFixed(share < 0.095 ? 1 : 0)} %`]),
      hexFromOklab(colour),
    ];
    on.write(facts.join(' · '), x, line, { size: type.small, room, soft: true });
    const notes = noteLines > 0 && note ? wrapped(note, 'italic', type.small, room) : [];
    for (const [i, words] of notes.slice(0, noteLines).entries())
      on.write(
        i === noteLines - 1 && notes.length > noteLines ? `${words} …` : words,
        x,
        line + type.small * LEADING * (i + 1),
        {
          face: 'italic',
          size: type.small,
          room,
        },
      );
    line += type.small * LEADING * noteLines;
    const recipe = recipeIn(swatch, sheet, room);
    for (const [i, words] of recipe.entries())
      on.write(words, x, line + type.small * LEADING * (i + 1), { size: type.small, room });
    if (recipe.length > 0) return;
    for (let i = 1; i <= ruled; i++) on.rule(x, line + i * RULED, room);
  }
}
