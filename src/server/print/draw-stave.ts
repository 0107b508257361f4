import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { scaleMarks, type ValueScale } from '@/core/colour/value-scale';
import { layStave } from '@/core/palette/stave-layout';
import type { Pen } from './pen';

const BLOCK = 0.16;
const MIN_COLUMN = 5;
const GAP = 0.8;

/** The stave on paper: lines at the steps of the person's scale, light at the top, and each swatch a numbered block at its value. */
export function drawStave(
  pen: Pen,
  swatches: readonly { colour: Oklab; share: number | null }[],
  scale: ValueScale,
  box: { x: number; y: number; width: number; height: number },
  size: number,
): void {
  const marks = size * 2.2;
  const left = box.x + marks;
  const room = box.width - marks;
  const block = box.height * BLOCK;
  const yOf = (value: number) =>
    box.y + size + (1 - value / 10) * (box.height - block - size) + block / 2;
  for (const { mark, value } of scaleMarks(scale)) {
    pen.rule(left, yOf(value), room);
    pen.write(String(mark), box.x, yOf(value) + size * 0.33, {
      size,
      room: marks * 0.75,
      soft: true,
      align: 'right',
    });
  }
  const columns = layStave(
    swatches.map(({ share }) => share),
    room,
    Math.min(MIN_COLUMN, room / Math.max(1, swatches.length)),
  );
  swatches.forEach(({ colour }, i) => {
    const y = yOf(valueOfOklab(colour)) - block / 2;
    const width = Math.max(0.6, columns[i].block - GAP);
    pen.block(colour, left + columns[i].left, y, width, block);
    if (columns[i].width >= size)
      pen.write(String(i + 1), left + columns[i].left, y - size * 0.25, {
        size,
        room: columns[i].width,
        soft: true,
      });
  });
}
