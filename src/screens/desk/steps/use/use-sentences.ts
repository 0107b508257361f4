import type { Fit } from '@/core/palette/missing';
import type { WhatIfEffect } from '@/core/transfer/what-if-effect';
import type { KeyEffect } from '@/core/transfer/key-effect';
import type { MoodEffect } from '@/core/transfer/moods';
import type { ValueScale } from '@/core/colour/value-scale';
import { capital, list, percent, stepWords } from '@/ui/words';

export function belongsSentence({ failed, missing }: Fit): string {
  const inside = capital(percent(1 - failed));
  if (failed < 0.005) return 'All of it lies within this palette.';
  return missing.length === 0
    ? `${inside} of it lies within this palette; nothing else makes a colour of its own.`
    : `${inside} of it lies within this palette; ${missing.length === 1 ? 'another colour' : 'other colours'} crept in.`;
}

/** What a mood does to values, in a clause. */
export function moodClause({ median, range }: MoodEffect, scale: ValueScale): string {
  const by = median[1] - median[0];
  const key =
    Math.abs(by) < 0.1
      ? 'the middle of its values stays'
      : `the middle of its values goes ${by > 0 ? 'up' : 'down'} by ${stepWords(Math.abs(by), scale)}`;
  const spread = range[0] > 0 ? range[1] / range[0] : 1;
  const ranged =
    Math.abs(spread - 1) < 0.05
      ? 'their range stays'
      : `their range ${spread > 1 ? 'widens' : 'narrows'} to ${percent(spread)}`;
  return `${key}, and ${ranged}.`;
}

/** CIEDE2000, shares of the focus, and steps of depth under which nothing can be told. */
const PARTS_ALIKE = 1;
const FOCUS_ALIKE = 0.06;
const DEPTH_ALIKE = 0.75;

/** What moving a mass did, in a sentence. */
export function whatIfSentence(
  { difference, steps, focus, depth }: WhatIfEffect,
  scale: ValueScale,
): string {
  const parting = difference[1] - difference[0];
  const drawn = focus[0] > 0 ? focus[1] / focus[0] - 1 : 0;
  const said = [
    Math.abs(parting) >= PARTS_ALIKE &&
      `parts ${parting > 0 ? 'more' : 'less'} from what is around it (${stepWords(steps[1], scale)} of value, before ${stepWords(steps[0], scale)})`,
    Math.abs(drawn) >= FOCUS_ALIKE &&
      `draws the eye ${drawn > 0 ? 'more' : 'less'} (${percent(focus[1])} of all contrast, before ${percent(focus[0])})`,
    Math.abs(depth) >= DEPTH_ALIKE && `steps ${depth > 0 ? 'forward' : 'back'}`,
  ].filter((words) => words !== false);
  return said.length === 0
    ? 'It changes next to nothing: it parts, draws the eye and lies as it did.'
    : `It ${list(said)}.`;
}

/** Degrees within which colours stand in a harmony. */
const IN_HARMONY = 1;

export function keySentence({ off: [before, after] }: KeyEffect, degree: number): string {
  const words = (degrees: number) => `${Math.round(degrees)}°`;
  if (before < IN_HARMONY) return 'Its colours lie in this harmony as they are.';
  if (degree === 0) return `Its colours stand ${words(before)} off this harmony on the mean.`;
  return `Its colours stand ${words(after)} off this harmony on the mean, ${words(before)} before.`;
}
