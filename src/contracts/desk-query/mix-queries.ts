import { z } from 'zod';
import { MAX_RECIPE_TUBES } from '@/core/mixing/recipes';
import { ROUTES } from '@/core/mixing/route';
import { oklabSchema } from '../colour';
import { MAX_TUBES } from '../shelf';

/** A tube as the worker makes it: pigments by name, and how many times as strong as usual. */
const workerTubeSchema = z.object({
  id: z.string(),
  pigments: z.array(z.string()).min(1),
  strength: z.number().positive(),
});

/** What the step Mix asks. */
export const mixQueries = [
  z.object({
    kind: z.literal('recipes'),
    colours: z.array(oklabSchema),
    tubes: z.array(workerTubeSchema).min(1).max(MAX_TUBES),
    maxTubes: z.number().int().min(1).max(MAX_RECIPE_TUBES),
    /** Whether black is used in what is not nearly black itself. */
    black: z.boolean(),
  }),
] as const;

/** A recipe without the physics of its tubes. */
export interface RecipeAnswer {
  parts: { tube: string; parts: number }[];
  colour: z.infer<typeof oklabSchema>;
  deltaE: number;
  steadiness: number;
  route: (typeof ROUTES)[number];
}
