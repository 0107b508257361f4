import type { Place } from './framing';

/** A third of the picture each way. */
const DOWN = ['upper', '', 'lower'] as const;
const ACROSS = ['left', '', 'right'] as const;

/** Where a place lies, in words that follow a noun or a verb: "upper left", "at the top", "in the middle". */
export function placeWords({ x, y }: Place): string {
  const down = DOWN[third(y)];
  const across = ACROSS[third(x)];
  if (down && across) return `${down} ${across}`;
  if (down) return down === 'upper' ? 'at the top' : 'at the bottom';
  return across ? `on the ${across}` : 'in the middle';
}

function third(n: number): number {
  return Math.min(2, Math.max(0, Math.floor(n * 3)));
}
