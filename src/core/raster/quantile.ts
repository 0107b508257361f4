/** The entry that a share (0–1) of some numbers lies below; 0 for none. */
export function quantileOf(numbers: ArrayLike<number>, share: number): number {
  if (numbers.length === 0) return 0;
  return nthSmallest(
    Float64Array.from(numbers),
    Math.min(numbers.length - 1, Math.floor(share * numbers.length)),
  );
}

/**
 * The number that would stand at `n` were they sorted; moves them about. NaN has no order and may come back.
 * Source: C. A. R. Hoare, "Algorithm 65: find", Communications of the ACM 4(7), 1961.
 */
function nthSmallest(numbers: Float64Array, n: number): number {
  let left = 0;
  let right = numbers.length - 1;
  while (left < right) {
    const pivot = numbers[(left + right) >> 1];
    let i = left;
    let j = right;
    while (i <= j) {
      while (numbers[i] < pivot) i++;
      while (pivot < numbers[j]) j--;
      if (i > j) break;
      const one = numbers[i];
      numbers[i++] = numbers[j];
      numbers[j--] = one;
    }
    if (n <= j) right = j;
    else if (n >= i) left = i;
    else break;
  }
  return numbers[n];
}
