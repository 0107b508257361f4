import { pigmentOf } from '@/core/mixing/pigments/pigments';
import { findRecipes, type Recipe } from '@/core/mixing/recipes';
import { innerSet } from '@/core/mixing/inner-set';
import { stickRecipes } from '@/core/mixing/sticks';
import { missingTube } from '@/core/mixing/missing-tube';
import { kindOf, type Tube } from '@/core/mixing/tube';
import { whichTubes } from '@/core/mixing/which-tubes';
import type { RecipeAnswer, WorkerTube } from '@/contracts/desk-query/mix-queries';
import type { Answers } from './answer';

/** Recipes for the tubes and limits that were last asked for: a palette of which one colour changes mixes one. */
let kept: { key: string; made: Map<string, RecipeAnswer[]> } = { key: '', made: new Map() };

/** What the step Mix is answered. */
export const mixAnswers = {
  recipes({ colours, ...limits }) {
    const key = JSON.stringify(limits);
    if (kept.key !== key) kept = { key, made: new Map() };
    const { made } = kept;
    const tubes = tubesFrom(limits.tubes);
    const usable = limits.black || tubes.some((tube) => kindOf(tube) !== 'black');
    return colours.map((colour) => {
      const name = JSON.stringify(colour);
      const known = made.get(name);
      if (known) return known;
      const settings = { maxTubes: limits.maxTubes, black: limits.black || !usable };
      const recipes = findRecipes(colour, tubes, settings).map(answerOf);
      made.set(name, recipes);
      return recipes;
    });
  },

  stickRecipes: ({ colours, sticks }) => colours.map((colour) => stickRecipes(colour, sticks)),

  whichTubes: ({ wanted, tubes, most }) =>
    whichTubes(wanted, tubesFrom(tubes), most).map(({ tubes: chosen, miss }) => ({
      tubes: chosen.map(({ id }) => id),
      miss,
    })),

  innerSet({ wanted, tubes, most }) {
    const set = innerSet(wanted, tubesFrom(tubes), most);
    return (
      set && {
        ...set,
        piles: set.piles.map(({ parts, tint }) => ({
          parts: parts.map(({ tube, parts: amount }) => ({ tube: tube.id, parts: amount })),
          tint,
        })),
      }
    );
  },

  missingTube({ colour, tubes }) {
    const { own, more } = missingTube(colour, tubesFrom(tubes));
    return { own, more: more && { pigment: more.pigment.id, miss: more.miss } };
  },
} satisfies Partial<Answers>;

function tubesFrom(tubes: readonly WorkerTube[]): Tube[] {
  return tubes.map(({ id, pigments, K, S }) => ({
    id,
    pigments: pigments.flatMap((name) => pigmentOf(name) ?? []),
    optics: { K: Float64Array.from(K), S: Float64Array.from(S) },
  }));
}

function answerOf({ parts, ...recipe }: Recipe): RecipeAnswer {
  return {
    ...recipe,
    parts: parts.map(({ tube, parts: amount }) => ({ tube: tube.id, parts: amount })),
  };
}
