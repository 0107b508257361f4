import { z } from 'zod';
import { framingSchema } from '../study';

/** A place in fractions of the picture; values beyond 0–1 lie outside it. */
export const placeSchema = z.object({ x: z.number(), y: z.number() });
/** A round area: the radius is a share of the picture's diagonal. */
const area = { place: placeSchema, radius: z.number().min(0) };

/** Queries about the picture itself, which belong to no step. */
export const pictureQueries = [
  z.object({ kind: z.literal('uncorrected'), framing: framingSchema }),
  z.object({ kind: z.literal('probe'), ...area }),
  z.object({ kind: z.literal('clusters'), ...area }),
  /** Of the working copy as it came, for the neutral point. */
  z.object({ kind: z.literal('workingProbe'), ...area }),
] as const;
