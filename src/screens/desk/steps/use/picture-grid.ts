const MARGIN = 16;
const GAP = 12;
const MIN_WIDTH = 140;
const SCROLLED = 160;

/** In how many columns pictures of an aspect stand largest on a stage, and how wide each is; `below` is what stands under each. In pixels. */
export function grid(
  count: number,
  aspect: number,
  stage: { width: number; height: number },
  below: number,
): { columns: number; width: number } {
  let best = { columns: 1, width: MIN_WIDTH };
  for (let columns = 1; columns <= Math.max(1, count); columns++) {
    const rows = Math.ceil(count / columns);
    const across = (stage.width - 2 * MARGIN - (columns - 1) * GAP) / columns;
    const down = (stage.height - 2 * MARGIN - (rows - 1) * GAP) / rows - below;
    const width = Math.floor(Math.min(across, down * aspect));
    if (width > best.width) best = { columns, width };
  }
  if (best.width > MIN_WIDTH) return best;
  // They don't all fit: as wide as can be looked at, and the rest is scrolled to.
  const columns = Math.max(1, Math.floor((stage.width - 2 * MARGIN + GAP) / (SCROLLED + GAP)));
  return {
    columns: Math.min(columns, Math.max(1, count)),
    width: Math.max(
      MIN_WIDTH,
      Math.floor((stage.width - 2 * MARGIN - (columns - 1) * GAP) / columns),
    ),
  };
}
