import { randomFrom } from '../seeded';
import { family } from './kinds/family';
import { hidden } from './kinds/hidden';
import { intensity } from './kinds/intensity';
import { keyColour } from './kinds/key-colour';
import { lean } from './kinds/lean';
import { lightness } from './kinds/lightness';
import { match } from './kinds/match';
import { oddOne } from './kinds/odd-one';
import { order } from './kinds/order';
import { pile } from './kinds/pile';
import { readsAs } from './kinds/reads-as';
import { reflection } from './kinds/reflection';
import { sameValue } from './kinds/same-value';
import { scheme } from './kinds/scheme';
import { shadowPartner } from './kinds/shadow-partner';
import { temperature } from './kinds/temperature';
import { value } from './kinds/value';
import type { DrillKind, Making, Question } from './question';

/** All kinds of questions. A new one is a file of its own and a place here. */
export const DRILL_KINDS: readonly DrillKind[] = [
  family,
  value,
  intensity,
  temperature,
  lean,
  match,
  order,
  oddOne,
  sameValue,
  lightness,
  readsAs,
  shadowPartner,
  reflection,
  keyColour,
  scheme,
  hidden,
  pile,
];

/** The question of a kind that a seed makes, always the same; null where there is no colour to ask about. */
export function questionOf(
  kind: DrillKind,
  seed: number,
  making: Omit<Making, 'random'>,
): Question | null {
  const made = kind.make({ ...making, random: randomFrom(seed) });
  return made && { kind: kind.id, ...made };
}
