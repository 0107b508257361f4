import { z } from 'zod';
import { wellFormedText } from '../text';
import {
  CAUTION_LINES,
  CAUTION_SOURCE,
  cautionsOf,
  MEDIUM_TECHNIQUES,
  STUDIO_CAUTIONS,
  type Caution,
} from './cautions';
import { mediumRecipeWords, type MediumRecipe } from './medium-recipe';
import { pigmentOf } from './pigments/pigments';
import { recipeWords } from './recipe-words';

const text = () => z.string().overwrite(wellFormedText);

/** A recipe as it goes along with a swatch: whole by itself, whatever becomes of the shelf it was mixed from. */
export const swatchRecipeSchema = z.object({
  /** Whose tubes these are; empty where nobody said. */
  owner: text().max(120),
  parts: z
    .array(
      z.object({
        name: text().min(1).max(120),
        /** By our own names; those that this program doesn't know stay as they are. */
        pigments: z.array(text().max(40)).min(1).max(3),
        parts: z.number().positive().max(1000),
      }),
    )
    .min(1)
    .max(8),
  /** OKLab of what comes of it. */
  colour: z.object({
    L: z.number().min(0).max(1),
    a: z.number().min(-1).max(1),
    b: z.number().min(-1).max(1),
  }),
  /** Whether that is a dab that was really made; otherwise it is computed. */
  tried: z.boolean(),
});
export type SwatchRecipe = z.infer<typeof swatchRecipeSchema>;

/** A recipe in a line, with whose tubes it is of and whether it was tried. */
export function swatchRecipeWords({ owner, parts, tried }: SwatchRecipe): string {
  const basis = [owner && `tubes of ${owner}`, tried && 'tried'].filter(Boolean);
  return `${recipeWords(parts)}${basis.length > 0 ? ` (${basis.join(', ')})` : ''}`;
}

/** The recipes that go along with a swatch. */
export interface WithRecipes {
  recipe?: SwatchRecipe | null;
  mediumRecipes?: MediumRecipe[];
}

/** Every recipe of a swatch in a line of its own, paint first. */
export function recipeLines({ recipe, mediumRecipes = [] }: WithRecipes): string[] {
  return [...(recipe ? [swatchRecipeWords(recipe)] : []), ...mediumRecipes.map(mediumRecipeWords)];
}

/** What the recipes of some swatches ask for, a line each, with where the rest is said; none without recipes. */
export function recipeCautions(swatches: readonly WithRecipes[]): readonly string[] {
  const layered = swatches.flatMap(({ mediumRecipes = [] }) => mediumRecipes);
  const pigments = swatches
    .flatMap(({ recipe }) => recipe?.parts ?? [])
    .flatMap((part) => part.pigments);
  const washed = layered.flatMap((one) =>
    one.medium === 'washes' ? one.layers.flatMap((layer) => layer.pigments) : [],
  );
  const cautions = new Set<Caution>([
    ...cautionsOf([...pigments, ...washed].flatMap((id) => pigmentOf(id) ?? [])),
    ...(pigments.length > 0 ? STUDIO_CAUTIONS : []),
    ...(layered.some(({ medium }) => medium === 'washes') ? (['rinse water'] as const) : []),
    ...layered.flatMap(({ medium }) => MEDIUM_TECHNIQUES[medium]),
  ]);
  return cautions.size > 0
    ? [...[...cautions].map((caution) => CAUTION_LINES[caution]), CAUTION_SOURCE]
    : [];
}
