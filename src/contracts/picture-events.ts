import { z } from 'zod';
import { errorBodySchema } from './errors';

export const PICTURE_STEPS = ['reading', 'making', 'writing'] as const;
export type PictureStep = (typeof PICTURE_STEPS)[number];

/** What the server says while it makes a picture at the size it came in: how far it is, then the PNG piece by piece. */
export const pictureEventSchema = z.discriminatedUnion('event', [
  z.object({ event: z.literal('step'), step: z.enum(PICTURE_STEPS), share: z.number() }),
  z.object({ event: z.literal('piece'), base64: z.string() }),
  z.object({ event: z.literal('done'), width: z.number(), height: z.number() }),
  z.object({ event: z.literal('refused'), error: errorBodySchema }),
]);
export type PictureEvent = z.infer<typeof pictureEventSchema>;
