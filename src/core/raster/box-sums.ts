/** Replaces each cell's numbers (`of` a cell) by their sums over the window of `reach` about it. */
export function boxSums(
  numbers: Float64Array,
  width: number,
  height: number,
  of: number,
  reach: number,
): void {
  const row = width * of;
  for (let y = 0; y < height; y++) slide(numbers, y * row, of, width, of, reach);
  // All columns at once, a row after the other, as they lie in memory.
  slide(numbers, 0, row, height, row, reach);
}

/** Sums along a line of `length` places, `step` apart, each of `of` numbers that are summed apart. */
function slide(
  numbers: Float64Array,
  start: number,
  step: number,
  length: number,
  of: number,
  reach: number,
): void {
  const line = new Float64Array(length * of);
  for (let n = 0; n < length; n++)
    for (let k = 0, at = start + n * step; k < of; k++) line[n * of + k] = numbers[at + k];
  const sums = new Float64Array(of);
  for (let n = 0; n < Math.min(reach, length); n++)
    for (let k = 0; k < of; k++) sums[k] += line[n * of + k];
  for (let n = 0; n < length; n++) {
    const at = start + n * step;
    const enters = (n + reach) * of;
    const leaves = (n - reach - 1) * of;
    if (enters < line.length) for (let k = 0; k < of; k++) sums[k] += line[enters + k];
    if (leaves >= 0) for (let k = 0; k < of; k++) sums[k] -= line[leaves + k];
    for (let k = 0; k < of; k++) numbers[at + k] = sums[k];
  }
}
