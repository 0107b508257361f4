import { ciede2000 } from '../colour/ciede2000';
import type { Lab } from '../colour/cielab';
import { mixLab } from './mix-lab';
import type { Optics } from './pigment';

export const MAX_PARTS = 12;
/** What is less than a part: a twentieth, a tenth, a quarter, a half. */
export const SPECKS: readonly number[] = [0.05, 0.1, 0.25, 0.5];

/** What a person measures out of one tube, in parts. */
export const MEASURES: readonly number[] = [
  ...SPECKS,
  ...Array.from({ length: MAX_PARTS }, (_, i) => i + 1),
];

export interface WholeParts {
  parts: number[];
  lab: Lab;
  deltaE: number;
}

/** A recipe with half as many parts in all may miss by this much more. */
const SIMPLER = 0.1;

/** Parts that were tried, and what they cost: their miss, and more the more there are to measure out. */
interface Attempt extends WholeParts {
  cost: number;
}

/**
 * Parts that can be measured out, nearest a target in CIEDE2000 among the neighbours of some weights: the
 * largest is each whole number of parts in turn, the others the measures on either side.
 */
export function wholeParts(
  paints: readonly Optics[],
  weights: readonly number[],
  target: Lab,
): WholeParts {
  const attempt = (parts: readonly number[]): Attempt => {
    const lab = mixLab(paints, parts);
    const deltaE = ciede2000(lab, target);
    const total = parts.reduce((sum, part) => sum + part, 0);
    return { parts: [...parts], lab, deltaE, cost: deltaE + SIMPLER * Math.log2(total) };
  };
  const largest = Math.max(...weights);
  const choices = Array.from({ length: MAX_PARTS }, (_, i) =>
    combinations(weights.map((weight) => measuresAround((weight / largest) * (i + 1)))),
  ).flat();
  let best = attempt(choices[0]);
  for (const parts of choices) {
    const next = attempt(parts);
    if (next.cost < best.cost) best = next;
  }
  const { cost: _, ...found } = refined(best, attempt);
  return found;
}

/** With one part at a time moved to the next measure for as long as that is better. */
function refined(from: Attempt, attempt: (parts: readonly number[]) => Attempt): Attempt {
  let best = from;
  for (let round = 0; round < MEASURES.length; round++) {
    const before = best;
    for (let i = 0; i < best.parts.length; i++)
      for (const by of [-1, 1]) {
        const measure = MEASURES[MEASURES.indexOf(best.parts[i]) + by];
        if (measure === undefined) continue;
        const parts = best.parts.with(i, measure);
        if (!parts.some((part) => part >= 1)) continue;
        const next = attempt(parts);
        if (next.cost < best.cost) best = next;
      }
    if (best === before) break;
  }
  return best;
}

/** The measures on either side of an amount, one where it is met or lies beyond the ends. */
function measuresAround(amount: number): number[] {
  const above = MEASURES.findIndex((measure) => measure >= amount - 1e-9);
  if (above < 0) return [MAX_PARTS];
  if (above === 0 || Math.abs(MEASURES[above] - amount) < 1e-9) return [MEASURES[above]];
  return [MEASURES[above - 1], MEASURES[above]];
}

function combinations(choices: readonly number[][]): number[][] {
  return choices.reduce<number[][]>(
    (all, next) => all.flatMap((parts) => next.map((part) => [...parts, part])),
    [[]],
  );
}
