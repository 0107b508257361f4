interface Grid {
  width: number;
  height: number;
  mask: ArrayLike<number>;
}

/** Decides whether a cell joins the region that is growing; `join` is told of each cell as it does. */
export interface RegionRule {
  /** A new region begins at this cell. */
  begin: (cell: number) => void;
  accepts: (cell: number) => boolean;
  join: (cell: number) => void;
}

/**
 * Region growing over 4-connected neighbours: from each cell not yet taken, in scan order, a region
 * takes in neighbours as long as the rule accepts them. Answers the region of each cell, −1 where the
 * mask is 0.
 * Source: R. Adams, L. Bischof, "Seeded region growing", IEEE TPAMI 16(6), 1994.
 */
export function growRegions({ width, height, mask }: Grid, rule: RegionRule): Int32Array {
  const labels = new Int32Array(width * height).fill(-1);
  let region = 0;
  for (let seed = 0; seed < labels.length; seed++) {
    if (labels[seed] >= 0 || !mask[seed]) continue;
    const stack = [seed];
    labels[seed] = region;
    rule.begin(seed);
    for (let cell = stack.pop(); cell !== undefined; cell = stack.pop()) {
      rule.join(cell);
      const x = cell % width;
      const left = x > 0 ? cell - 1 : -1;
      const right = x < width - 1 ? cell + 1 : -1;
      const below = cell + width < labels.length ? cell + width : -1;
      for (const next of [left, right, cell - width, below]) {
        if (next < 0 || labels[next] >= 0 || !mask[next] || !rule.accepts(next)) continue;
        labels[next] = region;
        stack.push(next);
      }
    }
    region++;
  }
  return labels;
}
