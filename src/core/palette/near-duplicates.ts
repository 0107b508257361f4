import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';

/** Colours of a palette nearer than this, in CIEDE2000, are one to most painters. */
export const DEFAULT_DUPLICATE_THRESHOLD = 5;
export const MIN_DUPLICATE_THRESHOLD = 1;
export const MAX_DUPLICATE_THRESHOLD = 15;

/** Differences that are equal but for rounding are equal. */
const SAME = 1e-9;

/**
 * Groups of two and more colours, by their numbers, in which every two are within a CIEDE2000
 * threshold of each other: complete linkage, nearest groups first, so that no chain of small steps
 * joins what is far apart. Groups and their members stand in the palette's order.
 */
export function nearDuplicates(colours: readonly Oklab[], threshold: number): number[][] {
  const labs = colours.map(labFromOklab);
  const apart = labs.map((one) => labs.map((other) => ciede2000(one, other)));
  const groups = colours.map((_, i) => [i]);
  for (;;) {
    let least = threshold;
    let pair: [number, number] | null = null;
    for (let i = 0; i < groups.length; i++)
      for (let j = i + 1; j < groups.length; j++) {
        const farthest = Math.max(...groups[i].flatMap((a) => groups[j].map((b) => apart[a][b])));
        if (farthest <= least - (pair ? SAME : 0)) {
          least = farthest;
          pair = [i, j];
        }
      }
    if (!pair) break;
    const [i, j] = pair;
    groups[i].push(...groups[j]);
    groups.splice(j, 1);
  }
  return groups
    .filter((group) => group.length > 1)
    .map((group) => group.sort((a, b) => a - b))
    .sort((one, other) => one[0] - other[0]);
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
