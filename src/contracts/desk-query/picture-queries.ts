import { z } from 'zod';
import { framingSchema } from '../study';

/** A place in fractions of the picture that is asked about; beyond 0–1 lies outside it. */
export const placeSchema = z.object({ x: z.number(), y: z.number() });
/** A round area: the radius is a share of the picture's diagonal. */
const area = { place: placeSchema, radius: z.number().min(0) };

/** What is asked of the picture itself, whatever the step. */
export const pictureQueries = [
  z.object({ kind: z.literal('uncorrected'), framing: framingSchema }),
  z.object({ kind: z.literal('probe'), ...area }),
  z.object({ kind: z.literal('clusters'), ...area }),
  /** Of the working copy as it came, for the neutral point. */
  z.object({ kind: z.literal('workingProbe'), ...area }),
] as const;
