import type { Masses } from '../measure/masses';

/** What of the picture around a thing is held against what is below: parts of its width aside, of its height over it. */
const ASIDE = 0.5;
const OVER = 0.3;

/** The cells that hold a mass, but for the outermost twentieth of it on either side: the first and the one after the last. */
export interface Box {
  top: number;
  bottom: number;
  left: number;
  right: number;
}

/** The box that holds all but the outermost twentieth of each mass on either side. */
export function boxesOf({ grid: { width, height }, labels, masses }: Masses): Box[] {
  const rows = masses.map(() => new Int32Array(height));
  const columns = masses.map(() => new Int32Array(width));
  labels.forEach((mass, c) => {
    if (mass < 0) return;
    rows[mass][Math.floor(c / width)]++;
    columns[mass][c % width]++;
  });
  return masses.map((_, i) => {
    const cells = rows[i].reduce((sum, n) => sum + n, 0);
    return {
      top: rankOf(rows[i], 0.05 * cells),
      bottom: rankOf(rows[i], 0.95 * cells) + 1,
      left: rankOf(columns[i], 0.05 * cells),
      right: rankOf(columns[i], 0.95 * cells) + 1,
    };
  });
}

/** The first index up to which more than `rank` is counted. */
function rankOf(counts: Int32Array, rank: number): number {
  let sum = 0;
  for (let i = 0; i < counts.length; i++) {
    sum += counts[i];
    if (sum > rank) return i;
  }
  return counts.length - 1;
}

/** What a mass mirrored about a row, and another mass, both hold of what either holds, within the picture. */
export function overlapAbout(
  { grid: { width, height }, labels }: Masses,
  above: number,
  below: number,
  row: number,
): number {
  let [both, either] = [0, 0];
  for (let y = Math.ceil(row); y < height; y++) {
    const from = Math.round(2 * row - 1 - y);
    if (from < 0) break;
    for (let x = 0; x < width; x++) {
      const isAbove = labels[from * width + x] === above;
      const isBelow = labels[y * width + x] === below;
      if (isAbove && isBelow) both++;
      if (isAbove || isBelow) either++;
    }
  }
  return either > 0 ? both / either : 0;
}

/** The same of a mass moved down by some rows, not mirrored. */
export function overlapMoved(
  { grid: { width }, labels }: Masses,
  above: number,
  below: number,
  rows: number,
): number {
  let [both, either] = [0, 0];
  for (let c = 0; c < labels.length; c++) {
    const isAbove = labels[c - rows * width] === above;
    const isBelow = labels[c] === below;
    if (isAbove && isBelow) both++;
    if (isAbove || isBelow) either++;
  }
  return either > 0 ? both / either : 0;
}

/**
 * How alike the picture around a pair is above its waterline and, mirrored, below it: the correlation of
 * OKLab over the thing, half its width to either side, and what stands over it; −1 to 1.
 */
export function mirrorCorrelation({ grid }: Masses, box: Box, row: number): number {
  const { width, height, oklab } = grid;
  const margin = Math.max(3, Math.round((box.right - box.left) * ASIDE));
  const reach = Math.ceil((row - box.top) * (1 + OVER));
  const left = Math.max(0, box.left - margin);
  const right = Math.min(width, box.right + margin);
  const sums = [0, 1, 2].map(() => ({ n: 0, x: 0, y: 0, xx: 0, yy: 0, xy: 0 }));
  for (let d = 0; d < reach; d++) {
    const up = Math.ceil(row) - 1 - d;
    const down = Math.floor(row) + d;
    if (up < 0 || down >= height) break;
    for (let x = left; x < right; x++)
      sums.forEach((sum, k) => {
        const one = oklab[(up * width + x) * 3 + k];
        const other = oklab[(down * width + x) * 3 + k];
        sum.n++;
        sum.x += one;
        sum.y += other;
        sum.xx += one * one;
        sum.yy += other * other;
        sum.xy += one * other;
      });
  }
  let [both, one, other] = [0, 0, 0];
  for (const { n, x, y, xx, yy, xy } of sums) {
    if (n === 0) continue;
    both += xy - (x * y) / n;
    one += xx - (x * x) / n;
    other += yy - (y * y) / n;
  }
  return one > 0 && other > 0 ? both / Math.sqrt(one * other) : 0;
}
