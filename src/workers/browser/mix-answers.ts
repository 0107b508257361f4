import { pigmentOf } from '@/core/mixing/pigments/pigments';
import { overprints, separated, type Inks } from '@/core/mixing/inks';
import { pencilOf } from '@/core/mixing/pencil-optics';
import { pencilRecipes } from '@/core/mixing/pencil-recipes';
import type { Pencil } from '@/core/mixing/pencils';
import { PLATES_OF, type PlateLook, type Plates } from '@/core/mixing/plates';
import { coveredParts, underpainting } from '@/core/mixing/underpainting';
import { washRecipes } from '@/core/mixing/washes';
import { copyPicture, pictureOf, type Picture } from '@/core/picture/picture';
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

  pencilRecipes({ colours, pencils, blacks, white }) {
    const set = pencils.map(({ id, colour, strength }) => pencilOf(id, colour, strength));
    const only = new Set(blacks);
    const settings = {
      isBlack: ({ id }: Pencil) => only.has(id) && only.size < set.length,
      white: set.find(({ id }) => id === white) ?? null,
    };
    return colours.map((colour) =>
      pencilRecipes(colour, set, settings).map(({ layers, burnish, ...recipe }) => ({
        ...recipe,
        layers: layers.map(({ pencil, pressure }) => ({ pencil: pencil.id, pressure })),
        burnish: burnish?.id ?? null,
      })),
    );
  },

  washRecipes({ colours, tubes }) {
    const paints = tubesFrom(tubes);
    return colours.map((colour) =>
      washRecipes(colour, paints).map(({ steps, ...recipe }) => ({
        ...recipe,
        steps: steps.map(({ tube, ...step }) => ({ tube: tube.id, ...step })),
      })),
    );
  },

  separations: ({ colours, ...set }) => ({
    colours: colours.map((colour) => separated(set, colour)),
    overprints: overprints(set),
  }),

  proof: ({ look, ...set }, { images }) => copyPicture(platesFor(set, look, images.picture).proof),

  plate({ look, ink, ...set }, { images }) {
    const { width, height, plates } = platesFor(set, look, images.picture);
    const plate = plates[Math.min(ink, plates.length - 1)];
    const data = new Uint8ClampedArray(width * height * 4).fill(255);
    plate.forEach((cover, pixel) => data.fill(255 - cover, pixel * 4, pixel * 4 + 3));
    return pictureOf(width, height, data);
  },

  underpainting: ({ settings, count }, { images }) =>
    underpainting(coveredParts(images.picture, images.pushed(settings)), count),

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

/** The plates that were made last, with what they were made of. */
let printed: { key: string; picture: Picture; plates: Plates } | null = null;

function platesFor(set: Inks, look: PlateLook, picture: Picture): Plates {
  const key = JSON.stringify([set, look]);
  if (printed?.key !== key || printed.picture !== picture)
    printed = { key, picture, plates: PLATES_OF[look](set, picture) };
  return printed.plates;
}

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
