import { z } from 'zod';
import { errorBodySchema } from './errors';

/** One line of the answer while the demo is started again. */
export const demoEventSchema = z.discriminatedUnion('event', [
  z.object({
    event: z.literal('step'),
    done: z.number().int(),
    total: z.number().int(),
    title: z.string(),
  }),
  z.object({ event: z.literal('done'), studies: z.number().int() }),
  z.object({ event: z.literal('refused'), error: errorBodySchema }),
]);
export type DemoEvent = z.infer<typeof demoEventSchema>;
