import { z } from 'zod';
import { MAX_TOLD } from '@/core/compare/finding';
import { oklabSchema } from './colour';
import { KEYS, RANGES } from './study';

const n = z.number();
const fraction = z.number().min(0).max(1);
const place = { x: fraction, y: fraction };
/** Each finding has a name of its own, by which it can be left out. */
const id = z.string().max(80);

const zones = z.object({ dark: fraction, middle: fraction, light: fraction });

/** What a picture is by itself, without any model. */
export const ownReadingSchema = z.object({
  key: z.enum(KEYS),
  range: z.enum(RANGES),
  median: n,
  darkest: n,
  lightest: n,
  /** Shares of dark, middle and light. */
  zones,
  /** Mean OKLCH chroma, and the share that is all but grey. */
  chroma: n,
  neutral: fraction,
  /** Share of the coloured that is warm. */
  warm: fraction.nullable(),
  /** The share of families that take more than a tenth of the coloured, the largest first, by their hue in degrees. */
  families: z.array(z.object({ hue: n, share: fraction })).max(12),
  /** Shares of its edges that are found, soft and lost. */
  edges: z.object({ found: fraction, soft: fraction, lost: fraction }),
});
/** What a check found. Differences are study minus what it is held against. */
export const findingSchema = z.object({
  /** What the study was laid by; nulls for a study that was read by itself. */
  registration: z.object({ error: n, confidence: n }).nullable(),
  knownBy: z.enum(['file', 'paper', 'place']).nullable(),
  shift: z.object({ value: n, valueGain: n, chromaGain: n, hueTurn: n }).nullable(),
  relations: z
    .array(
      z.object({
        id,
        ...place,
        value: n,
        chroma: n,
        hue: n,
        share: fraction,
        weight: n,
        /** Munsell value of the model there. */
        at: n,
        /** The model's colour there; older checks have kept its value alone. */
        colour: oklabSchema.optional(),
        words: z.string().max(300),
      }),
    )
    .max(MAX_TOLD),
  edges: z
    .array(z.object({ id, ...place, is: z.enum(['lost', 'found']), length: n }))
    .max(MAX_TOLD),
  flattened: z.array(z.object({ id, ...place, share: fraction, turn: n })).max(MAX_TOLD),
  proportions: z.object({ model: zones, study: zones, areOff: z.boolean() }).nullable(),
  model: ownReadingSchema.nullable(),
  study: ownReadingSchema,
});
export type Finding = z.infer<typeof findingSchema>;
