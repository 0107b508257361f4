import { z } from 'zod';

export const oklabSchema = z.object({
  L: z.number().min(0).max(1),
  a: z.number().min(-1).max(1),
  b: z.number().min(-1).max(1),
});

export const valueScaleSchema = z.object({
  steps: z.number().int().min(2).max(11),
  first: z.union([z.literal(0), z.literal(1)]),
  highIs: z.enum(['light', 'dark']),
});

/** A round area: fractions of the original picture, the radius a share of its diagonal. */
export const areaSchema = z.object({
  x: z.number().min(0).max(1),
  y: z.number().min(0).max(1),
  radius: z.number().min(0).max(0.5),
});
export type Area = z.infer<typeof areaSchema>;
