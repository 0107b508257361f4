import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';

/** Colours of a palette nearer than this, in CIEDE2000, are one to most painters. */
export const DEFAULT_DUPLICATE_THRESHOLD = 5;
export const MIN_DUPLICATE_THRESHOLD = 1;
export const MAX_DUPLICATE_THRESHOLD = 15;

/** CIEDE2000 weighs a step of L* by no less than the inverse of this: whatever else differs, it is at least so far. */
const MAX_LIGHTNESS_WEIGHT = 1.75;

/**
 * Groups of two and more colours, by their numbers, in which every two are within a CIEDE2000
 * threshold of each other: complete linkage, nearest groups first, so that no chain of small steps
 * joins what is far apart. Groups and their members stand in the palette's order.
 *
 * The distance of two groups is that of their farthest two members: when pairs are gone through from the nearest on,
 * two groups are joined at the pair that completes all pairs between them. So only pairs within the threshold matter.
 */
export function nearDuplicates(colours: readonly Oklab[], threshold: number): number[][] {
  const members = colours.map((_, i) => [i]);
  const groupOf = Int32Array.from(colours.keys());
  /** For each group how many pairs with each other one have come by. */
  const pairCounts = colours.map(() => new Map<number, number>());
  for (const [a, b] of pairsWithin(colours, threshold)) {
    const [one, other] = [groupOf[a], groupOf[b]];
    if (one === other) continue;
    const count = (pairCounts[one].get(other) ?? 0) + 1;
    pairCounts[one].set(other, count);
    pairCounts[other].set(one, count);
    if (count < members[one].length * members[other].length) continue;
    // The smaller one is taken into the larger: each colour changes its group few times.
    const [kept, gone] = members[one].length >= members[other].length ? [one, other] : [other, one];
    for (const i of members[gone]) groupOf[i] = kept;
    members[kept].push(...members[gone]);
    members[gone] = [];
    pairCounts[kept].delete(gone);
    for (const [third, pairs] of pairCounts[gone]) {
      if (third === kept) continue;
      const together = pairs + (pairCounts[kept].get(third) ?? 0);
      pairCounts[kept].set(third, together);
      pairCounts[third].set(kept, together);
      pairCounts[third].delete(gone);
    }
    pairCounts[gone].clear();
  }
  return members
    .filter((group) => group.length > 1)
    .map((group) => group.sort((a, b) => a - b))
    .sort((one, other) => one[0] - other[0]);
}

/** Pairs of colours within a threshold, the nearest first; pairs as near as each other in the palette's order. */
function pairsWithin(colours: readonly Oklab[], threshold: number): [number, number][] {
  const labs = colours.map(labFromOklab);
  const byLightness = Array.from(labs.keys()).sort((i, j) => labs[i].L - labs[j].L);
  const pairs: { pair: [number, number]; apart: number }[] = [];
  byLightness.forEach((i, at) => {
    for (let next = at + 1; next < byLightness.length; next++) {
      const j = byLightness[next];
      if (labs[j].L - labs[i].L > MAX_LIGHTNESS_WEIGHT * threshold) break;
      const apart = ciede2000(labs[i], labs[j]);
      if (apart <= threshold) pairs.push({ pair: i < j ? [i, j] : [j, i], apart });
    }
  });
  return pairs
    .sort(
      (one, other) =>
        one.apart - other.apart || one.pair[0] - other.pair[0] || one.pair[1] - other.pair[1],
    )
    .map(({ pair }) => pair);
}

/** Which of some colours is nearest to one, and by how much (CIEDE2000); null for none. */
export function nearestOf(
  colour: Oklab,
  colours: readonly Oklab[],
): { index: number; difference: number } | null {
  const lab = labFromOklab(colour);
  let nearest: { index: number; difference: number } | null = null;
  colours.forEach((other, index) => {
    const difference = ciede2000(lab, labFromOklab(other));
    if (!nearest || difference < nearest.difference) nearest = { index, difference };
  });
  return nearest;
}

/** The mean of some colours in OKLab, each weighed by its share; evenly where none has any. */
export function mergedColour(colours: readonly Oklab[], shares: readonly number[]): Oklab {
  const known = shares.reduce((sum, share) => sum + share, 0);
  const weights = shares.map((share) => (known > 0 ? share / known : 1 / colours.length));
  const mean = (of: (colour: Oklab) => number) =>
    colours.reduce((sum, colour, i) => sum + weights[i] * of(colour), 0);
  return { L: mean(({ L }) => L), a: mean(({ a }) => a), b: mean(({ b }) => b) };
}
