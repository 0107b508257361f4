import type { RecipeAnswer } from '@/contracts/desk-query/mix-queries';
import { capital, count, several } from '@/ui/words';

/** A mixture this near (CIEDE2000) is the colour to a painter. */
const REACHED = 3;

interface Named {
  name: string;
  recipes: readonly RecipeAnswer[];
}

/** "Six of eight colours are within reach of nine tubes; “wet slate” stays farthest off." */
export function reachSentence(colours: readonly Named[], tubes: number): string {
  const missing = colours
    .filter(({ recipes }) => (recipes[0]?.deltaE ?? Infinity) > REACHED)
    .sort((one, other) => (other.recipes[0]?.deltaE ?? 0) - (one.recipes[0]?.deltaE ?? 0));
  const from = `${several(tubes, 'tube')}`;
  if (missing.length === 0)
    return colours.length === 1
      ? `The colour is within reach of ${from}.`
      : `All ${count(colours.length)} colours are within reach of ${from}.`;
  const reached = colours.length - missing.length;
  const is = reached === 1 ? 'is' : 'are';
  return `${capital(count(reached))} of ${several(colours.length, 'colour')} ${is} within reach of ${from}; “${missing[0].name}” stays farthest off.`;
}
