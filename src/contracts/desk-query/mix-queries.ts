import { z } from 'zod';
import { MAX_RECIPE_TUBES } from '@/core/mixing/recipes';
import { MAX_CHOSEN_FROM } from '@/core/mixing/which-tubes';
import { ROUTES } from '@/core/mixing/route';
import { BAND_COUNT } from '@/core/mixing/spectrum';
import { MAX_INKS, MIN_INKS } from '@/core/mixing/inks';
import type { Pressure } from '@/core/mixing/pencils';
import { PLATE_LOOKS } from '@/core/mixing/plates';
import { MAX_FIRST_COLOURS } from '@/core/mixing/underpainting';
import { oklabSchema } from '../colour';
import { pushSettingsSchema } from '../push-request';
import { MAX_ITEMS, MAX_TUBES } from '../shelf';

const spectrumSchema = z.array(z.number().min(0)).length(BAND_COUNT);

/** A tube as the worker takes it: pigments by name, absorption and scattering as they were found. */
const workerTubeSchema = z.object({
  id: z.string(),
  pigments: z.array(z.string()).min(1),
  K: spectrumSchema,
  S: spectrumSchema,
});
export type WorkerTube = z.infer<typeof workerTubeSchema>;

const workerTubes = z.array(workerTubeSchema).min(1).max(MAX_TUBES);

/** How many times as strong as thought something is. */
const factor = z.number().min(0.01).max(100);

/** Inks in the order they are printed. */
const inkSet = {
  paper: oklabSchema,
  inks: z.array(oklabSchema).min(MIN_INKS).max(MAX_INKS),
  strengths: z.array(factor).max(MAX_INKS),
};

/** What the step Mix asks. */
export const mixQueries = [
  z.object({
    kind: z.literal('recipes'),
    colours: z.array(oklabSchema),
    tubes: workerTubes,
    maxTubes: z.number().int().min(1).max(MAX_RECIPE_TUBES),
    /** Whether black is used in what is not nearly black itself. */
    black: z.boolean(),
  }),
  /** For each colour sticks that come near it. */
  z.object({
    kind: z.literal('stickRecipes'),
    colours: z.array(oklabSchema),
    sticks: z
      .array(z.object({ id: z.string(), colour: oklabSchema, cover: factor }))
      .min(1)
      .max(MAX_ITEMS),
  }),
  /** For each colour layers of pencils that come near it. */
  z.object({
    kind: z.literal('pencilRecipes'),
    colours: z.array(oklabSchema),
    pencils: z
      .array(z.object({ id: z.string(), colour: oklabSchema, strength: factor }))
      .min(1)
      .max(MAX_ITEMS),
    /** What only goes into what is nearly black itself. */
    blacks: z.array(z.string()),
    /** What layers may be burnished with. */
    white: z.string().nullable(),
  }),
  /** For each colour washes that come near it. */
  z.object({ kind: z.literal('washRecipes'), colours: z.array(oklabSchema), tubes: workerTubes }),
  /** How each colour is printed, and what the inks make of one another. */
  z.object({ kind: z.literal('separations'), colours: z.array(oklabSchema), ...inkSet }),
  /** The picture as it is printed. */
  z.object({ kind: z.literal('proof'), look: z.enum(PLATE_LOOKS), ...inkSet }),
  /** One plate of it: black where its ink lies. */
  z.object({
    kind: z.literal('plate'),
    look: z.enum(PLATE_LOOKS),
    ink: z
      .number()
      .int()
      .min(0)
      .max(MAX_INKS - 1),
    ...inkSet,
  }),
  /** Colours to lay first, chosen by what hides in the picture. */
  z.object({
    kind: z.literal('underpainting'),
    settings: pushSettingsSchema,
    count: z.number().int().min(1).max(MAX_FIRST_COLOURS),
  }),
  /** For each number of tubes those that reach some colours best. */
  z.object({
    kind: z.literal('whichTubes'),
    wanted: z.array(z.object({ colour: oklabSchema, share: z.number().positive() })).min(1),
    tubes: workerTubes.max(MAX_CHOSEN_FROM),
    most: z.number().int().min(1).max(12),
  }),
  /** Dull mixtures of two tubes that carry the quiet colours among some. */
  z.object({
    kind: z.literal('innerSet'),
    wanted: z.array(z.object({ colour: oklabSchema, share: z.number().positive() })).min(1),
    tubes: workerTubes,
    most: z.number().int().min(1).max(4),
  }),
  /** The pigment that would bring a colour nearest. */
  z.object({ kind: z.literal('missingTube'), colour: oklabSchema, tubes: workerTubes }),
] as const;

/** A recipe of pencils, these by their ids. */
export interface PencilRecipeAnswer {
  layers: { pencil: string; pressure: Pressure }[];
  burnish: string | null;
  colour: z.infer<typeof oklabSchema>;
  deltaE: number;
  filled: number;
}

/** Washes, tubes by their ids. */
export interface WashRecipeAnswer {
  steps: { tube: string; strength: number; layers: number }[];
  colour: z.infer<typeof oklabSchema>;
  deltaE: number;
}

export interface SeparationAnswer {
  /** The share that each ink covers. */
  cover: number[];
  colour: z.infer<typeof oklabSchema>;
  deltaE: number;
}

export interface TubeChoiceAnswer {
  tubes: string[];
  miss: number;
}

/** As `InnerSet`, tubes by their ids. */
export interface InnerSetAnswer {
  piles: { parts: { tube: string; parts: number }[]; tint: z.infer<typeof oklabSchema> }[];
  quiet: number[];
  miss: number;
}

/** As `MissingTube`, the pigment by its name. */
export interface MissingTubeAnswer {
  own: number;
  more: { pigment: string; miss: number } | null;
}

/** A recipe without the physics of its tubes. */
export interface RecipeAnswer {
  parts: { tube: string; parts: number }[];
  colour: z.infer<typeof oklabSchema>;
  deltaE: number;
  steadiness: number;
  route: (typeof ROUTES)[number];
}
