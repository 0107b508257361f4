import type { Pen } from './pen';
import { MM, type Sheet } from './paper';

/** So much of the foot of a page is taken by its last line. */
export function footHeight({ type }: Sheet): number {
  return type.small * 2.4;
}

const TRUE_LENGTH = 50;
const TICK = 1.2 * MM;

/** The foot of a page: a length to check the print by, what it is of, and which page. */
export function drawFoot(pen: Pen, sheet: Sheet, title: string, page: number): void {
  const { width, height, margin, type } = sheet;
  const y = height - margin;
  const length = TRUE_LENGTH * MM;
  pen.rule(margin, y, length, true);
  for (let mm = 0; mm <= TRUE_LENGTH; mm += 10)
    pen.block({ L: 0.2, a: 0, b: 0 }, margin + mm * MM - 0.3, y - TICK, 0.6, TICK);
  pen.write(`${TRUE_LENGTH} mm in print at full size`, margin, y - TICK - type.small * 0.4, {
    size: type.small,
    room: length,
    soft: true,
  });
  const left = margin + length + 5 * MM;
  pen.write(`${title} · ${page} · Bold Prism`, left, y, {
    size: type.small,
    room: width - margin - left,
    soft: true,
    align: 'right',
  });
}
