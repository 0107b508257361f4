import { z } from 'zod';
import { INTENSITY_WORDS } from '@/core/colour/intensity';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { correctionSchema, valueSettingsSchema } from '../study';

const degrees = z.number().min(0).max(360);
const wheel = z.enum(WHEEL_IDS);

/** The queries of the step Colours. */
export const colourQueries = [
  z.object({
    kind: z.literal('colours'),
    settings: valueSettingsSchema,
    corrections: z.array(correctionSchema),
    wheel,
  }),
  z.object({ kind: z.literal('temperature') }),
] as const;

/** Colours that stay clear while the rest is dimmed. */
export const colourParts = [
  z.object({ kind: z.literal('hue'), from: degrees, to: degrees }),
  z.object({ kind: z.literal('family'), index: z.number().int().min(0), wheel }),
  z.object({ kind: z.literal('word'), word: z.enum(INTENSITY_WORDS) }),
  /** Munsell values and OKLCH chromas, each from the first up to before the second; null has no end. */
  z.object({
    kind: z.literal('tone'),
    value: z.tuple([z.number(), z.number()]),
    chroma: z.tuple([z.number(), z.number().nullable()]),
  }),
] as const;
