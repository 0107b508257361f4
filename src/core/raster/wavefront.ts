/**
 * A breadth-first wave over 4-connected cells, from `seeds` on, nearest first. `enters` is asked of each
 * cell beside one that was reached; it has to refuse a cell that it let in before.
 */
export function spreadWave(
  seeds: ArrayLike<number>,
  width: number,
  cells: number,
  enters: (cell: number, from: number) => boolean,
): void {
  const queue = new Int32Array(cells);
  let end = 0;
  for (let i = 0; i < seeds.length; i++) queue[end++] = seeds[i];
  for (let at = 0; at < end; at++) {
    const c = queue[at];
    const x = c % width;
    if (x > 0 && enters(c - 1, c)) queue[end++] = c - 1;
    if (x + 1 < width && enters(c + 1, c)) queue[end++] = c + 1;
    if (c >= width && enters(c - width, c)) queue[end++] = c - width;
    if (c + width < cells && enters(c + width, c)) queue[end++] = c + width;
  }
}
