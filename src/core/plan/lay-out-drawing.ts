import { cautionSheetLines, MEDIUM_TECHNIQUES } from '../mixing/cautions';
import type { LayeredMedium } from '../mixing/medium-recipe';
import type { Drawing, Mark } from './drawing';
import { boxMark, chipMark, textMark } from './marks';

export interface LayOutItem {
  name: string;
  hex: string;
  detail: string;
}

export interface LayOutRow {
  name: string;
  hex: string;
  /** What its layers are foretold to come to. */
  madeHex: string;
  layers: readonly string[];
}

export interface LayOutSheet {
  title: string;
  medium: LayeredMedium;
  /** What to lay out, in the order it is used. */
  groups: readonly { title: string; items: readonly LayOutItem[] }[];
  rows: readonly LayOutRow[];
  /** What else the materials ask for. */
  cautions: readonly string[];
}

const WIDTH = 210;
const HEIGHT = 297;
const MARGIN = 15;
const BOTTOM = HEIGHT - MARGIN - 4;
const GREY = '#606060';
const HAIR = '#b0b0b0';
const LINE = 4.2;
const ITEM = 7;
const CHIP = 14;
/** A line of words that is longer is broken. */
const MAX_LETTERS = 74;
const CAUTION_LETTERS = 118;

/**
 * What to lay out for a day on A4, a box to tick before each; then every colour with its layers, an empty box to try
 * them in and room for notes. As many sheets as it takes.
 */
export function layOutDrawings(sheet: LayOutSheet): Drawing[] {
  const pages = sheets(sheet.title);
  for (const { title, items } of sheet.groups) {
    if (items.length === 0) continue;
    pages.room(ITEM * 2 + 4);
    pages.words(title, 4.2);
    for (const { name, hex, detail } of items) {
      pages.room(ITEM);
      const y = pages.y;
      pages.add(
        boxMark(MARGIN, y, 3.5),
        chipMark(MARGIN + 6, y - 0.8, 8, 5, hex, HAIR),
        textMark(MARGIN + 17, y + 3, name, 3.6),
        textMark(WIDTH - MARGIN, y + 3, detail, 3.2, GREY, 'end'),
      );
      pages.y += ITEM;
    }
    pages.y += 3;
  }
  pages.room(CHIP + 10);
  pages.words('Each colour: as it is, as foretold, and a box to try it in', 4.2);
  drawRows(pages, sheet.rows);
  drawCautions(pages, sheet);
  return pages.drawings();
}

/** Swatches with empty boxes beside them, their layers and room for notes, to practise matching on paper. */
export function matchingDrawings({ title, medium, rows, cautions }: Omit<LayOutSheet, 'groups'>) {
  const pages = sheets(title);
  pages.words('Match each in the boxes beside it, without looking at the layers first', 3.6);
  for (const { name, hex, layers } of rows) {
    const lines = layers.flatMap((layer) => broken(layer, MAX_LETTERS));
    const height = Math.max(CHIP * 1.6, 5 + lines.length * LINE) + 4;
    pages.room(height);
    const y = pages.y;
    const side = CHIP * 1.6;
    pages.add(
      chipMark(MARGIN, y, side, side, hex, HAIR),
      ...[1, 2, 3].map((n) => boxMark(MARGIN + n * (side + 3), y, side)),
      textMark(MARGIN + 4 * (side + 3) + 2, y + 3.4, name, 3.6),
      ...lines.map((line, i) =>
        textMark(MARGIN + 4 * (side + 3) + 2, y + 8 + i * LINE, line, 2.8, GREY),
      ),
      rule(MARGIN + 4 * (side + 3) + 2, y + height - 4),
    );
    pages.y += height;
  }
  drawCautions(pages, { medium, cautions });
  return pages.drawings();
}

type Pages = ReturnType<typeof sheets>;

function drawRows(pages: Pages, rows: readonly LayOutRow[]): void {
  for (const { name, hex, madeHex, layers } of rows) {
    const lines = layers.flatMap((layer, i) => broken(`${i + 1}  ${layer}`, MAX_LETTERS));
    const height = Math.max(CHIP, 5 + lines.length * LINE) + 4;
    pages.room(height);
    const y = pages.y;
    const left = MARGIN + 3 * CHIP + 7;
    pages.add(
      chipMark(MARGIN, y, CHIP, CHIP, hex, HAIR),
      chipMark(MARGIN + CHIP, y, CHIP, CHIP, madeHex, HAIR),
      boxMark(MARGIN + 2 * CHIP + 3, y, CHIP),
      textMark(left, y + 3.4, name, 3.6),
      ...lines.map((line, i) => textMark(left, y + 3.4 + (i + 1) * LINE, line, 3, GREY)),
      rule(left, y + height - 2),
    );
    pages.y += height;
  }
}

function drawCautions(
  pages: Pages,
  { medium, cautions }: Pick<LayOutSheet, 'medium' | 'cautions'>,
): void {
  const lines = cautionSheetLines(MEDIUM_TECHNIQUES[medium], cautions);
  if (lines.length === 0) return;
  pages.y += 2;
  for (const line of lines.flatMap((one) => broken(one, CAUTION_LETTERS))) {
    pages.room(LINE);
    pages.add(textMark(MARGIN, pages.y + 3, line, 2.8, GREY));
    pages.y += LINE;
  }
}

/** A4 after A4: what has no room goes onto the next. */
function sheets(title: string) {
  let marks: Mark[] = [textMark(MARGIN, MARGIN + 6, title, 6)];
  const done: Mark[][] = [];
  const pages = {
    y: MARGIN + 12,
    add: (...some: Mark[]) => void marks.push(...some),
    words(words: string, size: number) {
      marks.push(textMark(MARGIN, pages.y + 3, words, size));
      pages.y += size + 3;
    },
    room(height: number) {
      if (pages.y + height <= BOTTOM || pages.y <= MARGIN + 8) return;
      done.push(marks);
      marks = [];
      pages.y = MARGIN;
    },
    drawings(): Drawing[] {
      const all = [...done, marks];
      return all.map((own, i) => ({
        width: WIDTH,
        height: HEIGHT,
        title,
        parts: [
          {
            name: 'sheet',
            marks: [
              ...own,
              textMark(WIDTH - MARGIN, HEIGHT - 8, `${i + 1} of ${all.length}`, 3, GREY, 'end'),
            ],
          },
        ],
      }));
    },
  };
  return pages;
}

/** Words in lines of so many letters at most, broken between words. */
export function broken(words: string, most: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of words.split(' ')) {
    if (line && line.length + 1 + word.length > most) {
      lines.push(line);
      line = word;
    } else line = line ? `${line} ${word}` : word;
  }
  return [...lines, line];
}

const rule = (x: number, y: number): Mark => ({
  kind: 'line',
  x1: x,
  y1: y,
  x2: WIDTH - MARGIN,
  y2: y,
  stroke: HAIR,
  strokeWidth: 0.2,
});
