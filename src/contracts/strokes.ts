import { z } from 'zod';

/** The most points that a line or loop drawn by hand is stored with. */
export const MAX_POINTS = 400;

/** A stroke of the brush or a loop of the lasso; places and radius are of the original. */
export const strokeSchema = z.object({
  id: z.string().min(1).max(40),
  tool: z.enum(['brush', 'lasso']),
  radius: z.number().min(0).max(0.5),
  points: z
    .array(z.object({ x: z.number(), y: z.number() }))
    .min(1)
    .max(MAX_POINTS),
});
export type StoredStroke = z.infer<typeof strokeSchema>;
