import { z } from 'zod';
import { OPACITIES, STRENGTHS } from '@/core/mixing/pigment';
import { ROUTES } from '@/core/mixing/route';

const hex = z.string().regex(/^#[0-9a-f]{6}$/);
const degrees = z.number().min(0).max(360);
const positive = z.number().positive();
const difference = z.number().min(0);

/** What `prism mix` answers: the colour of a mixture, the hex brought into sRGB where it lies outside. */
export const mixReportSchema = z.object({
  hex,
  inGamut: z.boolean(),
  oklab: z.object({ L: z.number(), a: z.number(), b: z.number() }),
  value: z.number().min(0).max(10),
  chroma: z.number().min(0),
  hue: degrees,
  name: z.string(),
});
export type MixReport = z.infer<typeof mixReportSchema>;

/** What `prism recipe` answers, the best recipe before others. */
export const recipeReportSchema = z.object({
  recipes: z.array(
    z.object({
      parts: z.array(z.object({ tube: z.string(), parts: positive })).min(1),
      hex,
      deltaE: difference,
      steadiness: difference,
      route: z.enum(ROUTES),
    }),
  ),
});
export type RecipeReport = z.infer<typeof recipeReportSchema>;

/** What `prism pigments` answers. */
export const pigmentReportSchema = z.object({
  pigments: z.array(
    z.object({
      id: z.string(),
      names: z.array(z.string()).min(1),
      opacity: z.enum(OPACITIES),
      strength: z.enum(STRENGTHS),
      drying: z.enum(['fast', 'medium', 'slow']),
      metals: z.array(z.string()),
      massTone: hex,
      tint: hex,
      known: z.string(),
    }),
  ),
});
export type PigmentReport = z.infer<typeof pigmentReportSchema>;
