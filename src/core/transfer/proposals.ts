import { assignment } from './assignment';
import type { AssignmentProblem, AssignmentWeights } from './prices';

/** What a proposal puts first. */
export const PROPOSALS = ['by value', 'warm and cool', 'as in the source'] as const;
export type ProposalKind = (typeof PROPOSALS)[number];

export const PROPOSAL_WEIGHTS: Readonly<Record<ProposalKind, AssignmentWeights>> = {
  'by value': { own: 1, value: 2, temperature: 0.3, parting: 1, size: 0.8, layout: 0 },
  'warm and cool': { own: 0.5, value: 0.6, temperature: 2.5, parting: 1, size: 0.8, layout: 0 },
  'as in the source': { own: 1, value: 0.5, temperature: 0.3, parting: 0.6, size: 1, layout: 2.5 },
};

export interface Proposal {
  kind: ProposalKind;
  of: number[];
  cost: number;
}

/** Two proposals differ where this share of the picture has another colour. */
const DIFFERS = 0.12;
/** A proposal that would be like one before pays this for every mass that it leaves as there, by its share. */
const PUSH_AWAY = [0.4, 1, 2.5];

/**
 * The three ways to put colours on masses that truly differ: each the cheapest by its own weights, moved away from those
 * before it where it would be the same. Fewer where there is no other way.
 */
export function proposals(problem: Omit<AssignmentProblem, 'weights'>): Proposal[] {
  const found: Proposal[] = [];
  for (const kind of PROPOSALS) {
    const weighed = { ...problem, weights: PROPOSAL_WEIGHTS[kind] };
    const first = assignment(weighed);
    const next = [
      first,
      ...PUSH_AWAY.map((push) =>
        assignment({ ...weighed, away: { from: found.map(({ of }) => of), push } }),
      ),
    ].find(({ of }) => found.every((other) => sharedDifference(problem, of, other.of) >= DIFFERS));
    if (next) found.push({ kind, of: next.of, cost: next.cost });
  }
  return found;
}

/** Of the picture, what has another colour by the one than by the other. */
export function sharedDifference(
  { masses }: Pick<AssignmentProblem, 'masses'>,
  one: readonly number[],
  other: readonly number[],
): number {
  const all = masses.reduce((sum, { share }) => sum + share, 0);
  return (
    masses.reduce((sum, { share }, mass) => sum + (one[mass] === other[mass] ? 0 : share), 0) /
    Math.max(all, 1e-9)
  );
}
