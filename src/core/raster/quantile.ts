/** The entry that a share (0–1) of some numbers lies below; 0 for none. */
export function quantileOf(numbers: ArrayLike<number>, share: number): number {
  if (numbers.length === 0) return 0;
  const sorted = Float64Array.from(numbers).sort();
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
}
