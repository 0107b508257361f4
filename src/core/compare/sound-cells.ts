/** Farther than so many cells from any steady one a place is busy. */
const BUSY = 3;

/**
 * Cells whose colour is believed: steady ones, and those of places so busy that there is no steady one near, where the
 * errors of many edges cancel.
 */
export function soundCells(steady: Uint8Array, mask: Uint8Array, width: number): Uint8Array {
  const away = new Int16Array(steady.length).fill(-1);
  const queue: number[] = [];
  steady.forEach((one, c) => {
    if (!one || !mask[c]) return;
    away[c] = 0;
    queue.push(c);
  });
  for (let at = 0; at < queue.length; at++) {
    const c = queue[at];
    if (away[c] === BUSY) continue;
    const x = c % width;
    for (const d of [x > 0 ? c - 1 : -1, x < width - 1 ? c + 1 : -1, c - width, c + width]) {
      if (d < 0 || d >= steady.length || away[d] >= 0) continue;
      away[d] = away[c] + 1;
      queue.push(d);
    }
  }
  return steady.map((one, c) => (one || (away[c] < 0 && mask[c]) ? 1 : 0));
}
