import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';

/** Within this CIEDE2000 two swatches are the same colour to any eye. */
export const SAME_COLOUR = 1;

export interface Pair {
  /** Places in the two lists. */
  one: number;
  other: number;
  /** CIEDE2000. */
  apart: number;
}

export interface PairedUp {
  shared: Pair[];
  near: Pair[];
  onlyOne: number[];
  onlyOther: number[];
}

/**
 * Two lists of colours paired one to one, the nearest pairs first, as far as `within` (CIEDE2000): those up to
 * `SAME_COLOUR` are shared, the rest are near; what finds no partner is only in one. All in the first list's order.
 */
export function pairUp(one: readonly Oklab[], other: readonly Oklab[], within: number): PairedUp {
  const theirs = other.map(labFromOklab);
  const candidates: Pair[] = [];
  one.forEach((colour, i) => {
    const own = labFromOklab(colour);
    theirs.forEach((lab, j) => {
      const apart = ciede2000(own, lab);
      if (apart <= within) candidates.push({ one: i, other: j, apart });
    });
  });
  candidates.sort((a, b) => a.apart - b.apart || a.one - b.one || a.other - b.other);
  const mine = new Map<number, Pair>();
  const taken = new Set<number>();
  for (const pair of candidates) {
    if (mine.has(pair.one) || taken.has(pair.other)) continue;
    mine.set(pair.one, pair);
    taken.add(pair.other);
  }
  const pairs = [...mine.values()].sort((a, b) => a.one - b.one);
  return {
    shared: pairs.filter(({ apart }) => apart <= SAME_COLOUR),
    near: pairs.filter(({ apart }) => apart > SAME_COLOUR),
    onlyOne: one.map((_, i) => i).filter((i) => !mine.has(i)),
    onlyOther: other.map((_, j) => j).filter((j) => !taken.has(j)),
  };
}
