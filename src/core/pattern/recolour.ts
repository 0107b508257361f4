import { writtenPaint } from './paint-tokens';
import type { Drawing } from './read-drawing';

/**
 * The drawing with other colours, by their `#rrggbb`; those that are not named stay as they are written. What could run or
 * be fetched is left out, and every other byte is as it was.
 */
export function recoloured(
  { text, paints, removals }: Drawing,
  to: ReadonlyMap<string, string>,
): string {
  const written: string[] = [];
  let at = 0;
  let next = 0;
  const write = (start: number, end: number, instead: string) => {
    written.push(text.slice(at, start), instead);
    at = end;
  };
  const removeUntil = (place: number) => {
    for (; next < removals.length && removals[next].start <= place; next++) {
      const { start, end, instead } = removals[next];
      if (start >= at) write(start, end, instead);
    }
  };
  for (const { hex, start, end, alpha } of paints) {
    removeUntil(start);
    const other = to.get(hex);
    // A colour within what was left out is gone with it.
    if (start < at || other === undefined || other === hex) continue;
    write(start, end, writtenPaint(other, alpha));
  }
  removeUntil(text.length);
  written.push(text.slice(at));
  return written.join('');
}
