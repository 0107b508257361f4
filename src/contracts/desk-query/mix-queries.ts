import { z } from 'zod';
import { MAX_RECIPE_TUBES } from '@/core/mixing/recipes';
import { MAX_CHOSEN_FROM } from '@/core/mixing/which-tubes';
import { ROUTES } from '@/core/mixing/route';
import { BAND_COUNT } from '@/core/mixing/spectrum';
import { oklabSchema } from '../colour';
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
      .array(z.object({ id: z.string(), colour: oklabSchema }))
      .min(1)
      .max(MAX_ITEMS),
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
