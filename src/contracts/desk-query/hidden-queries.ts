import { z } from 'zod';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { pushSettingsSchema } from '../push-request';

const settings = pushSettingsSchema;
const wheel = z.enum(WHEEL_IDS);

/** The queries of the step Hidden. */
export const hiddenQueries = [
  z.object({ kind: z.literal('pushed'), settings, quick: z.boolean() }),
  z.object({ kind: z.literal('pushedGreys'), settings }),
  z.object({ kind: z.literal('hidden'), settings, wheel }),
  z.object({ kind: z.literal('guards'), settings }),
  z.object({ kind: z.literal('hiddenMap'), settings, wheel }),
  z.object({ kind: z.literal('hiddenOutlines'), wheel }),
] as const;

export const hiddenParts = [
  z.object({ kind: z.literal('hidden'), index: z.number().int().min(0), wheel }),
] as const;
