import { z } from 'zod';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { valueScaleSchema } from './colour';

export const SURROUNDS = ['paper', 'grey', 'night'] as const;

/** What the person has chosen for every study. */
export const settingsSchema = z.object({
  scale: valueScaleSchema,
  surround: z.enum(SURROUNDS),
  wheel: z.enum(WHEEL_IDS).default('painters'),
  /** Whether a person's own guess is asked for before a colour is read. */
  askFirst: z.boolean().default(false),
  /** Radius of picks and of the reading line, as a share of the picture's diagonal. */
  pickRadius: z.number().min(0).max(0.1),
});
export type Settings = z.infer<typeof settingsSchema>;

export const DEFAULT_SETTINGS: Settings = {
  scale: { steps: 11, first: 0, highIs: 'light' },
  surround: 'grey',
  wheel: 'painters',
  askFirst: false,
  pickRadius: 0.01,
};
