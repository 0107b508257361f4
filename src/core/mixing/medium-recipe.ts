import { z } from 'zod';
import { wellFormedText } from '../text';
import { partWords } from './recipe-words';
import { BLEND_MODES } from './screen-layers';

/** Media that don't mix in a pile. */
export const LAYERED_MEDIA = ['sticks', 'pencils', 'inks', 'washes', 'screen'] as const;
export type LayeredMedium = (typeof LAYERED_MEDIA)[number];

/** How firmly a pencil is laid; white that burnishes comes last. */
export const STROKES = ['light', 'middle', 'full', 'burnish'] as const;

/** Layers of one recipe: seven pencils and white. */
export const MAX_RECIPE_LAYERS = 8;

const text = () => z.string().overwrite(wellFormedText);
const share = z.number().min(0).max(1);
const hex = z.string().regex(/^#[0-9a-f]{6}$/i, 'a colour is #rrggbb');

/** What is laid: by its name, and its id on the shelf that it was taken from; empty where it is of none. */
const item = { item: text().max(64), name: text().min(1).max(160) };
const layersOf = <T extends z.ZodRawShape>(shape: T) =>
  z
    .array(z.object({ ...item, ...shape }))
    .min(1)
    .max(MAX_RECIPE_LAYERS);

const oklab = z.object({
  L: z.number().min(0).max(1),
  a: z.number().min(-1).max(1),
  b: z.number().min(-1).max(1),
});

const common = {
  /** Whose these are; empty where nobody said. */
  owner: text().max(120),
  /** OKLab of what comes of it. */
  colour: oklab,
  /** Whether that is a patch that was really made; otherwise it is computed. */
  tried: z.boolean(),
};

/** A recipe of layers, the lowest first: whole by itself, whatever becomes of the shelf it was made from. */
export const mediumRecipeSchema = z.discriminatedUnion('medium', [
  z.object({
    medium: z.literal('sticks'),
    ...common,
    /** The share of what lies below that a light stroke leaves to be seen. */
    layers: layersOf({ showing: share }),
  }),
  z.object({
    medium: z.literal('pencils'),
    ...common,
    layers: layersOf({ pressure: z.enum(STROKES) }),
  }),
  z.object({
    medium: z.literal('inks'),
    ...common,
    paper: oklab,
    /** The share of the paper that an ink covers. */
    layers: layersOf({ cover: share }),
  }),
  z.object({
    medium: z.literal('washes'),
    ...common,
    /** How much paint is in the water (1 undiluted), and how many times it is laid. */
    layers: layersOf({
      strength: z.number().positive().max(1),
      times: z.number().int().min(1).max(8),
      pigments: z.array(text().max(40)).max(3),
    }),
  }),
  z.object({
    medium: z.literal('screen'),
    ...common,
    layers: layersOf({ hex, opacity: share, mode: z.enum(BLEND_MODES) }),
  }),
]);
export type MediumRecipe = z.infer<typeof mediumRecipeSchema>;
export type RecipeOf<M extends LayeredMedium> = Extract<MediumRecipe, { medium: M }>;

/** What goes along with a swatch: at most one for each medium. */
export const mediumRecipesSchema = z
  .array(mediumRecipeSchema)
  .max(LAYERED_MEDIA.length)
  .refine((some) => new Set(some.map(({ medium }) => medium)).size === some.length, {
    message: 'two recipes are of one medium',
  });

const PRESSED: Readonly<Record<(typeof STROKES)[number], string>> = {
  light: 'lightly',
  middle: 'at middle pressure',
  full: 'firmly',
  burnish: 'to burnish',
};
const percent = (part: number) => `${Math.round(part * 100)} %`;

/** Each layer in words, the lowest first. */
export function layerWords(recipe: MediumRecipe): string[] {
  switch (recipe.medium) {
    case 'sticks':
      return recipe.layers.map(({ name, showing }, i) =>
        i === 0 ? name : `${name} lightly over it, ${percent(showing)} showing`,
      );
    case 'pencils':
      return recipe.layers.map(({ name, pressure }) => `${name} ${PRESSED[pressure]}`);
    case 'inks':
      return recipe.layers.map(({ name, cover }) => `${name} ${percent(cover)}`);
    case 'washes':
      return recipe.layers.map(
        ({ name, strength, times }) =>
          `${name} ${strength === 1 ? 'undiluted' : `at ${dilutionWords(strength)}`}${times > 1 ? `, ${times} layers` : ''}`,
      );
    case 'screen':
      return recipe.layers.map(
        ({ name, hex: colour, opacity, mode }) => `${name} ${colour} ${mode} ${percent(opacity)}`,
      );
  }
}

/** A dilution as it is measured out: one part of paint in so many. */
export const dilutionWords = (strength: number): string =>
  strength < 0.25 ? `1⁄${Math.round(1 / strength)}` : partWords(strength);

/** A recipe in a line, with whose things it is of and whether it was tried. */
export function mediumRecipeWords(recipe: MediumRecipe): string {
  const { medium, owner, tried } = recipe;
  const basis = [owner && `${medium} of ${owner}`, tried && 'tried'].filter(Boolean);
  const between = medium === 'sticks' ? '; ' : ' · ';
  return `${layerWords(recipe).join(between)}${basis.length > 0 ? ` (${basis.join(', ')})` : ''}`;
}

/** Some recipes with one of its medium in the place of the former. */
export function withMediumRecipe(
  some: readonly MediumRecipe[],
  recipe: MediumRecipe,
): MediumRecipe[] {
  return [...some.filter(({ medium }) => medium !== recipe.medium), recipe];
}
