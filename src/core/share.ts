/** A sum of shares of a whole, which may be a rounding beyond it: within 0–1. */
export const clampShare = (sum: number): number => Math.min(1, Math.max(0, sum));
