import type { Drawing, Mark } from './drawing';
import { textMark } from './marks';

/** A colour to be mixed and dabbed: what is foretold, and what it is mixed of, in a line each. */
export interface DabCell {
  hex: string;
  words: readonly string[];
}

export interface DabRow {
  title: string;
  cells: readonly DabCell[];
}

const WIDTH = 210;
const HEIGHT = 297;
const MARGIN = 15;
/** A dab that a small brush makes, in millimetres. */
const CELL = 22;
const DAB = 14;
const GAP = 3;
const TEXT = 2.6;
const LINE = 3.4;
const MAX_WORDS = 3;
const ROW = 6 + 2 * DAB + 1 + MAX_WORDS * LINE + GAP;
const PER_LINE = Math.floor((WIDTH - 2 * MARGIN + GAP) / (CELL + GAP));
const INK = '#000000';
const GREY = '#606060';

/**
 * A chart on A4 in its true size: each colour as it is foretold, with an empty field below for the dab. Rows that
 * are longer than the sheet is wide go on below; what does not fit on the sheet is said at its foot.
 */
export function dabChart(title: string, rows: readonly DabRow[]): Drawing {
  const marks: Mark[] = [textMark(MARGIN, MARGIN + 5, title, 5, INK)];
  let y = MARGIN + 14;
  let left = 0;
  for (const { title: name, cells } of rows) {
    for (let from = 0; from < Math.max(1, cells.length); from += PER_LINE) {
      const line = cells.slice(from, from + PER_LINE);
      if (y + ROW > HEIGHT - MARGIN) {
        left += line.length;
        continue;
      }
      marks.push(textMark(MARGIN, y, from === 0 ? name : `${name}, on`, 3.4, INK));
      line.forEach((cell, i) => marks.push(...cellMarks(cell, MARGIN + i * (CELL + GAP), y + 2)));
      y += ROW;
    }
  }
  if (left > 0)
    marks.push(
      textMark(MARGIN, HEIGHT - 8, `${left} colours more did not fit on this sheet`, 3, GREY),
    );
  return { width: WIDTH, height: HEIGHT, title, parts: [{ name: 'chart', marks }] };
}

function cellMarks({ hex, words }: DabCell, x: number, y: number): Mark[] {
  const field = { kind: 'rect' as const, x, width: CELL, height: DAB };
  return [
    { ...field, y, fill: hex, stroke: null, strokeWidth: 0 },
    { ...field, y: y + DAB + 0.5, fill: null, stroke: GREY, strokeWidth: 0.2 },
    ...words
      .slice(0, MAX_WORDS)
      .map((line, i) => textMark(x, y + 2 * DAB + 3.6 + i * LINE, line.slice(0, 24), TEXT, GREY)),
  ];
}
