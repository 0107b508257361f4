/**
 * How hard the next question of a kind is: after a right answer a step harder, after a wrong one three steps easier, so that
 * it settles where three of four are right. Steps shrink as it turns.
 * Source: C. Kaernbach, "Simple adaptive testing with the weighted up-down method", Perception & Psychophysics 49(3), 1991.
 */
export interface Staircase {
  /** 0 (easy) to 1. */
  difficulty: number;
  /** How often it turned from harder to easier or back. */
  turns: number;
  /** The way of the last step; null before the first. */
  way: 'harder' | 'easier' | null;
}

/** The share of right answers that it settles at. */
export const TARGET_SHARE = 0.75;
const FIRST_STEP = 0.12;
const LAST_STEP = 0.005;
/** A step is half as long after so many turns. */
const HALF_AFTER = 3;

export const START: Staircase = { difficulty: 0.3, turns: 0, way: null };

export function stepped({ difficulty, turns, way }: Staircase, isRight: boolean): Staircase {
  const now = isRight ? 'harder' : 'easier';
  const hasTurned = way !== null && way !== now;
  const step = Math.max(LAST_STEP, FIRST_STEP / 2 ** (turns / HALF_AFTER));
  const by = isRight ? step : (-step * TARGET_SHARE) / (1 - TARGET_SHARE);
  return {
    difficulty: Math.min(1, Math.max(0, difficulty + by)),
    turns: turns + (hasTurned ? 1 : 0),
    way: now,
  };
}
