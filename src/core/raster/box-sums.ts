/** Replaces each cell's numbers (`of` a cell) by their sums over the window of `reach` about it. */
export function boxSums(
  numbers: Float64Array,
  width: number,
  height: number,
  of: number,
  reach: number,
): void {
  const row = new Float64Array(width);
  for (let y = 0; y < height; y++)
    for (let k = 0; k < of; k++) slideAlong(numbers, y * width * of + k, of, row, reach);
  slideDown(numbers, width * of, height, reach);
}

/** Sums along one line of numbers `step` apart, as many as `line` has room for; that is overwritten. */
function slideAlong(
  numbers: Float64Array,
  start: number,
  step: number,
  line: Float64Array,
  reach: number,
): void {
  const { length } = line;
  let sum = 0;
  for (let n = 0, at = start; n < length; n++, at += step) {
    line[n] = numbers[at];
    if (n < reach) sum += line[n];
  }
  for (let n = 0, at = start; n < length; n++, at += step) {
    if (n + reach < length) sum += line[n + reach];
    if (n > reach) sum -= line[n - reach - 1];
    numbers[at] = sum;
  }
}

/** Sums down all columns at once, a row of `length` numbers after the other, as they lie in memory. */
function slideDown(numbers: Float64Array, length: number, rows: number, reach: number): void {
  const before = numbers.slice(0, rows * length);
  const sums = new Float64Array(length);
  for (let k = 0; k < Math.min(reach, rows) * length; k++) sums[k % length] += before[k];
  for (let n = 0; n < rows; n++) {
    const enters = (n + reach) * length;
    const leaves = (n - reach - 1) * length;
    if (n + reach < rows) for (let k = 0; k < length; k++) sums[k] += before[enters + k];
    if (leaves >= 0) for (let k = 0; k < length; k++) sums[k] -= before[leaves + k];
    numbers.set(sums, n * length);
  }
}
