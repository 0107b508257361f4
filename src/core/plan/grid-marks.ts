import type { Box } from '../picture/framing';
import type { Mark } from './drawing';
import { gridLines, type TransferGrid } from './transfer-grid';

/** A grid over the box that a picture fills, with its letters and figures outside. Throws a RangeError as `gridLines` does. */
export function gridMarks(grid: TransferGrid, box: Box): Mark[] {
  const { vertical, horizontal, labels } = gridLines(grid, box.width / box.height);
  // White under black: it is seen over dark zones as over light ones.
  const line = (x1: number, y1: number, x2: number, y2: number): Mark[] => [
    { kind: 'line', x1, y1, x2, y2, stroke: '#ffffff', strokeWidth: 0.5 },
    { kind: 'line', x1, y1, x2, y2, stroke: '#000000', strokeWidth: 0.2 },
  ];
  return [
    ...vertical.flatMap((x) =>
      line(box.x + x * box.width, box.y, box.x + x * box.width, box.y + box.height),
    ),
    ...horizontal.flatMap((y) =>
      line(box.x, box.y + y * box.height, box.x + box.width, box.y + y * box.height),
    ),
    ...labels.map(({ text: words, x, y }): Mark => ({
      kind: 'text',
      x: x === null ? box.x - 1.5 : box.x + x * box.width,
      y: y === null ? box.y - 1.5 : box.y + y * box.height + 1,
      words,
      size: 3,
      fill: '#000000',
      anchor: x === null ? 'end' : 'middle',
    })),
  ];
}
