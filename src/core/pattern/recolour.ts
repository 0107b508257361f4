import { writtenPaint } from './paint-tokens';
import type { Drawing, PaintUse } from './drawing';

/**
 * The drawing with other colours, by their `#rrggbb`; those that are not named stay as they are written. What could run or
 * be fetched is left out, and every other byte is as it was.
 */
export const recoloured = (drawing: Drawing, to: ReadonlyMap<string, string>): string =>
  rewritten(drawing, ({ hex, alpha }) => {
    const other = to.get(hex);
    return other === undefined || other === hex ? null : writtenPaint(other, alpha);
  });

/** The drawing with what stands at each place of a colour as `write` says it, or as it was where that is null. */
export function rewritten(
  { text, paints, removals }: Drawing,
  write: (paint: PaintUse) => string | null,
): string {
  const written: string[] = [];
  let at = 0;
  let next = 0;
  const replace = (start: number, end: number, instead: string) => {
    written.push(text.slice(at, start), instead);
    at = end;
  };
  const removeUntil = (place: number) => {
    for (; next < removals.length && removals[next].start <= place; next++) {
      const { start, end, instead } = removals[next];
      if (start >= at) replace(start, end, instead);
    }
  };
  for (const paint of paints) {
    removeUntil(paint.start);
    // A colour within what was left out is gone with it.
    if (paint.start < at) continue;
    const other = write(paint);
    if (other !== null) replace(paint.start, paint.end, other);
  }
  removeUntil(text.length);
  written.push(text.slice(at));
  return written.join('');
}
