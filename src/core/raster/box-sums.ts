/** Replaces each cell's numbers (`of` a cell) by their sums over the window of `reach` about it. */
export function boxSums(
  numbers: Float64Array,
  width: number,
  height: number,
  of: number,
  reach: number,
): void {
  const line = new Float64Array(Math.max(width, height));
  const along = (start: number, step: number, length: number) => {
    for (let n = 0; n < length; n++) line[n] = numbers[start + n * step];
    let sum = 0;
    for (let n = 0; n < Math.min(reach, length); n++) sum += line[n];
    for (let n = 0; n < length; n++) {
      if (n + reach < length) sum += line[n + reach];
      if (n - reach - 1 >= 0) sum -= line[n - reach - 1];
      numbers[start + n * step] = sum;
    }
  };
  for (let k = 0; k < of; k++) {
    for (let y = 0; y < height; y++) along(y * width * of + k, of, width);
    for (let x = 0; x < width; x++) along(x * of + k, width * of, height);
  }
}
