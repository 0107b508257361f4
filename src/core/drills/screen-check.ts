import type { ScreenLimits } from './question';

/** Munsell values of the steps that a screen should part, from the ends inward. */
export const DARK_STEPS = [0.5, 1, 1.5, 2, 2.5, 3] as const;
export const LIGHT_STEPS = [9.7, 9.5, 9.2, 8.9, 8.5, 8] as const;

/** Which steps were told from the one before, nearer the end; the first of each from black and from white. */
export interface ToldApart {
  dark: readonly boolean[];
  light: readonly boolean[];
}

/**
 * What a screen shows in its room: from the step on from which all were told apart. Null where at an end none was: then no
 * question that hangs on value can be asked honestly.
 */
export function screenLimits({ dark, light }: ToldApart): ScreenLimits | null {
  const darkest = firstOfRun(DARK_STEPS, dark);
  const lightest = firstOfRun(LIGHT_STEPS, light);
  return darkest === null || lightest === null ? null : { darkest, lightest };
}

/** The first step from which on all were told apart. */
function firstOfRun(steps: readonly number[], told: readonly boolean[]): number | null {
  const missed = told.slice(0, steps.length).lastIndexOf(false);
  return told.length < steps.length || missed === steps.length - 1 ? null : steps[missed + 1];
}
