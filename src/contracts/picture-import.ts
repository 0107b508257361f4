import { z } from 'zod';
import { errorBodySchema } from './errors';

export const MAX_BYTES = 40 * 1024 * 1024;
export const MAX_PIXELS = 80_000_000;

/** The stages of bringing a picture in, in order, in the words the person reads. */
export const STAGES = ['sending', 'looking', 'working copy', 'palette', 'keeping'] as const;
export type Stage = (typeof STAGES)[number];

/** One line of the answer to a picture that is being imported. */
export const importEventSchema = z.discriminatedUnion('event', [
  z.object({ event: z.literal('stage'), stage: z.enum(STAGES) }),
  z.object({ event: z.literal('done'), studyId: z.string() }),
  z.object({
    event: z.literal('known'),
    pictureId: z.string(),
    studies: z.array(z.object({ id: z.string(), title: z.string() })),
  }),
  z.object({ event: z.literal('refused'), error: errorBodySchema }),
]);
export type ImportEvent = z.infer<typeof importEventSchema>;
