/** One swatch's place along the stave, in the unit of `width`. */
export interface StaveColumn {
  left: number;
  /** The room it takes, never under `least`. */
  width: number;
  /** The width of its block: exactly proportional to its share, down to `MIN_BLOCK`. */
  block: number;
}

const MIN_BLOCK = 4;

/**
 * Lays swatches side by side, each as wide as its share of the picture but never under `least`, so
 * that a finger can hit it. Columns that would be narrower get `least`, and what they take is
 * shared out among the others; blocks stay in proportion to one another. A swatch with no share
 * counts as an even part.
 */
export function layStave(
  shares: readonly (number | null)[],
  width: number,
  least: number,
): StaveColumn[] {
  const count = shares.length;
  if (count === 0) return [];
  const known = shares.map((share) => share ?? 1 / count);
  const total = known.reduce((sum, share) => sum + share, 0);
  const parts = known.map((share) => (total > 0 ? share / total : 1 / count));
  const floor = Math.min(least, width / count);

  // What is too narrow once stays so, since the unit only shrinks: each round takes all that are.
  const narrow = new Set<number>();
  let unit = width;
  for (;;) {
    const free = width - narrow.size * floor;
    const wide = parts.reduce((sum, part, i) => (narrow.has(i) ? sum : sum + part), 0);
    unit = wide > 0 ? free / wide : 0;
    const more = parts.flatMap((part, i) => (!narrow.has(i) && part * unit < floor ? [i] : []));
    if (more.length === 0) break;
    for (const i of more) narrow.add(i);
  }

  let left = 0;
  return parts.map((part, i) => {
    const column = {
      left,
      width: narrow.has(i) ? floor : part * unit,
      block: Math.min(Math.max(MIN_BLOCK, part * unit), narrow.has(i) ? floor : part * unit),
    };
    left += column.width;
    return column;
  });
}
