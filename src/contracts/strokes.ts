import { z } from 'zod';
import { text } from './text';

/** The most points that a line or loop drawn by hand is stored with. */
export const MAX_POINTS = 400;

/** Strokes may leave the picture, but what is far outside costs time and changes nothing. */
const coordinate = z.number().overwrite((value) => Math.max(-4, Math.min(5, value)));

/** A stroke of the brush or a loop of the lasso; places and radius are of the original. */
export const strokeSchema = z.object({
  id: text().min(1).max(40),
  tool: z.enum(['brush', 'lasso']),
  radius: z.number().min(0).max(0.5),
  points: z
    .array(z.object({ x: coordinate, y: coordinate }))
    .min(1)
    .max(MAX_POINTS),
});
export type StoredStroke = z.infer<typeof strokeSchema>;
