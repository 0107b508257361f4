import { onScale, type ValueScale } from '../colour/value-scale';
import { hexFromOklab } from '../colour/hex';
import { valueOfOklab } from '../colour/value';
import type { Box } from '../picture/framing';
import type { MassPlan } from '../transfer/plan-masses';
import type { Drawing, Mark } from './drawing';
import { gridMarks } from './grid-marks';
import { broken } from './lay-out-drawing';
import { chipMark, textMark } from './marks';
import type { TransferGrid } from './transfer-grid';
import { massPaths } from './mass-paths';

/** A row of the list beside the plan. */
export interface MassRow {
  name: string;
  /** What to lay, a line each: a recipe's parts, sticks. */
  lines: readonly string[];
}

export interface MassSheet {
  title: string;
  /** The canvas in millimetres: the picture fills it as far as its proportions let it. */
  canvas: { width: number; height: number };
  grid: TransferGrid;
  /** Flat colours, or their outlines alone to paint in. */
  fill: 'colours' | 'outlines';
  scale: ValueScale;
}

export const MIN_CANVAS = 60;
export const MAX_CANVAS = 900;

const MARGIN = 12;
const TITLE = 9;
const GAP = 10;
const COLUMN = 92;
const LETTERS = 46;
const CHIP = 9;
const LINE = 3.8;
const NUMBER = 4.2;
/** A list that is longer than the canvas stands in more columns; the sheet grows to at least this. */
const MIN_HEIGHT = 120;
const GREY = '#606060';
const OUTLINE = '#555555';
/** A mass has to take this share of the picture to carry its number inside. */
const NUMBERED = 0.002;

/**
 * A plan to paint from, in its true size: numbered masses with a grid, and beside them the list of what each is, in the
 * order of painting. Rows belong to the plan's masses. Throws a RangeError as `gridLines` does, and for a canvas beyond
 * `MIN_CANVAS` to `MAX_CANVAS`.
 */
export function massDrawing(plan: MassPlan, rows: readonly MassRow[], sheet: MassSheet): Drawing {
  const { canvas } = sheet;
  if (![canvas.width, canvas.height].every((side) => side >= MIN_CANVAS && side <= MAX_CANVAS))
    throw new RangeError(`a canvas is ${MIN_CANVAS} to ${MAX_CANVAS} mm a side`);
  const aspect = plan.width / plan.height;
  const scale = Math.min(canvas.width / aspect, canvas.height);
  const box = { x: MARGIN + 6, y: MARGIN + TITLE, width: scale * aspect, height: scale };
  const tall = Math.max(MIN_HEIGHT, box.height);
  const list = listMarks(plan, rows, sheet.scale, box.x + box.width + GAP, box.y, tall);
  return {
    width: Math.max(box.x + box.width + GAP + list.columns * COLUMN + MARGIN, 120),
    height: box.y + tall + MARGIN,
    title: sheet.title,
    parts: [
      { name: 'title', marks: [textMark(box.x, MARGIN + 4, sheet.title, 5)] },
      { name: 'masses', marks: shapesOf(plan, box, sheet.fill) },
      { name: 'grid', marks: gridMarks(sheet.grid, box) },
      { name: 'numbers', marks: numbersOf(plan, box, sheet.fill) },
      {
        name: 'frame',
        marks: [{ kind: 'rect', ...box, fill: null, stroke: '#000000', strokeWidth: 0.3 }],
      },
      { name: 'list', marks: list.marks },
    ],
  };
}

function shapesOf(plan: MassPlan, box: Box, fill: MassSheet['fill']): Mark[] {
  const paths = massPaths(plan, box);
  return plan.masses
    .map(({ colour, share }, mass) => ({ d: paths[mass], hex: hexFromOklab(colour), share }))
    .sort((one, other) => other.share - one.share)
    .flatMap(({ d, hex }): Mark[] =>
      d
        ? [
            {
              kind: 'path',
              d,
              fill: fill === 'colours' ? hex : '#ffffff',
              stroke: fill === 'colours' ? null : OUTLINE,
              strokeWidth: fill === 'colours' ? 0 : 0.25,
            },
          ]
        : [],
    );
}

function numbersOf({ masses }: MassPlan, box: Box, fill: MassSheet['fill']): Mark[] {
  return masses.flatMap(({ place, colour, share }, i) =>
    share >= NUMBERED
      ? [
          textMark(
            box.x + place.x * box.width,
            box.y + place.y * box.height + NUMBER / 3,
            String(i + 1),
            NUMBER,
            fill === 'colours' && valueOfOklab(colour) < 5.5 ? '#ffffff' : '#000000',
            'middle',
          ),
        ]
      : [],
  );
}

function listMarks(
  { masses }: MassPlan,
  rows: readonly MassRow[],
  scale: ValueScale,
  left: number,
  top: number,
  tall: number,
): { marks: Mark[]; columns: number } {
  const marks: Mark[] = [];
  let columns = 1;
  let y = top;
  masses.forEach(({ colour, value, share }, i) => {
    const { name, lines } = rows[i] ?? { name: '', lines: [] };
    const words = lines.flatMap((line) => broken(line, LETTERS));
    const height = Math.max(CHIP, 2 * LINE + words.length * LINE) + 2.5;
    if (y > top && y + height > top + tall) {
      columns++;
      y = top;
    }
    const x = left + (columns - 1) * COLUMN;
    const figures = `value ${onScale(value, scale).toFixed(1)}, ${Math.max(1, Math.round(share * 100))} %`;
    marks.push(
      textMark(x + 6, y + 4, String(i + 1), 3.8, '#000000', 'end'),
      chipMark(x + 8, y, CHIP, CHIP, hexFromOklab(colour), '#b0b0b0'),
      textMark(x + 8 + CHIP + 2, y + 3.2, name, 3.4),
      textMark(x + 8 + CHIP + 2, y + 3.2 + LINE, figures, 2.8, GREY),
      ...words.map((line, n) =>
        textMark(x + 8 + CHIP + 2, y + 3.2 + (n + 2) * LINE, line, 2.8, GREY),
      ),
    );
    y += height;
  });
  return { marks, columns };
}
