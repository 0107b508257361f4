import type { Anchor, Mark } from './drawing';

/** The most letters that a printer takes in one line. */
const MAX_LETTERS = 400;

/** Words that stand on a base line, in millimetres. */
export function textMark(
  x: number,
  y: number,
  words: string,
  size: number,
  fill = '#000000',
  anchor: Anchor = 'start',
): Mark {
  return { kind: 'text', x, y, words: words.slice(0, MAX_LETTERS), size, fill, anchor };
}

/** A chip of a colour. */
export const chipMark = (
  x: number,
  y: number,
  width: number,
  height: number,
  fill: string,
  stroke: string | null = null,
): Mark => ({ kind: 'rect', x, y, width, height, fill, stroke, strokeWidth: 0.1 });

/** An empty square: to tick, or to try a colour in. */
export const boxMark = (x: number, y: number, side: number): Mark => ({
  kind: 'rect',
  x,
  y,
  width: side,
  height: side,
  fill: null,
  stroke: '#000000',
  strokeWidth: 0.25,
});
