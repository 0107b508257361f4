import { z } from 'zod';
import { TOLERANCE_NAMES } from '@/core/measure/carried';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { EYES } from '@/core/drills/question';
import { valueScaleSchema } from './colour';

/** How often a copy of everything is made beside the data. */
export const COPY_TIMES = ['never', 'day', 'week'] as const;
export type CopyTime = (typeof COPY_TIMES)[number];

export const SURROUNDS = ['paper', 'grey', 'night'] as const;

/** What the person has chosen for every study. */
export const settingsSchema = z.object({
  scale: valueScaleSchema,
  surround: z.enum(SURROUNDS),
  wheel: z.enum(WHEEL_IDS).default('painters'),
  /** Whether the person guesses before a colour's reading is shown. */
  askFirst: z.boolean().default(false),
  /** Whose eyes practise. */
  eyes: z.enum(EYES).default('all hues'),
  /** How far values may stray from a picture that they carry. */
  tolerance: z.enum(TOLERANCE_NAMES).default('usual'),
  /** Radius of picks and of the reading line, as a share of the picture's diagonal. */
  pickRadius: z.number().min(0).max(0.1),
  /** When copies are made by themselves, and how many of them are kept. */
  copies: z
    .object({ every: z.enum(COPY_TIMES), keep: z.number().int().min(1).max(30) })
    .default({ every: 'week', keep: 2 }),
});
export type Settings = z.infer<typeof settingsSchema>;

export const DEFAULT_SETTINGS: Settings = {
  scale: { steps: 11, first: 0, highIs: 'light' },
  surround: 'grey',
  wheel: 'painters',
  askFirst: false,
  eyes: 'all hues',
  tolerance: 'usual',
  pickRadius: 0.01,
  copies: { every: 'week', keep: 2 },
};
