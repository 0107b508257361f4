import type { Drawing, Mark } from '@/core/plan/drawing';
import { MM } from './paper';
import { drawPdf, type Pen } from './pen';

/** Drawings as a PDF of as many pages, vector, in their true size on the paper of the first: the printer of every plan. */
export function drawingsPdf(drawings: readonly Drawing[]): Promise<Uint8Array> {
  const [{ width, height, title }] = drawings;
  return drawPdf({ width: width * MM, height: height * MM }, title, (pen) => {
    drawings.forEach(({ parts }, page) => {
      if (page > 0) pen.newPage();
      for (const mark of parts.flatMap(({ marks }) => marks)) drawMark(pen, mark, width);
    });
    return Promise.resolve();
  });
}

function drawMark(pen: Pen, mark: Mark, paperWidth: number): void {
  switch (mark.kind) {
    case 'path':
      pen.path(mark.d, MM, mark);
      return;
    case 'rect': {
      const { x, y, width, height } = mark;
      pen.path(
        `M${x} ${y}L${x + width} ${y}L${x + width} ${y + height}L${x} ${y + height}Z`,
        MM,
        mark,
      );
      return;
    }
    case 'line':
      pen.path(`M${mark.x1} ${mark.y1}L${mark.x2} ${mark.y2}`, MM, { ...mark, fill: null });
      return;
    case 'text':
      pen.write(mark.words, leftOf(mark, paperWidth) * MM, mark.y * MM, {
        size: mark.size * MM,
        room: roomOf(mark, paperWidth) * MM,
        align: ALIGN[mark.anchor],
        colour: mark.fill,
      });
  }
}

const ALIGN = { start: 'left', middle: 'centre', end: 'right' } as const;

/** How wide words may be before they run off the paper. */
function roomOf({ x, anchor }: Extract<Mark, { kind: 'text' }>, paperWidth: number): number {
  const [left, right] = [Math.max(0, x), Math.max(0, paperWidth - x)];
  return { start: right, middle: 2 * Math.min(left, right), end: left }[anchor];
}

function leftOf(mark: Extract<Mark, { kind: 'text' }>, paperWidth: number): number {
  const room = roomOf(mark, paperWidth);
  return { start: mark.x, middle: mark.x - room / 2, end: mark.x - room }[mark.anchor];
}
