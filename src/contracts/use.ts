import { z } from 'zod';
import { SCHEMES } from '@/core/measure/harmony';
import { MAX_MOVE } from '@/core/transfer/what-if';
import { MOOD_SETTINGS, MOODS } from '@/core/transfer/moods';
import { PROPOSALS } from '@/core/transfer/proposals';
import { oklabSchema } from './colour';
import { asOne, asStrokes, byId } from './documents/merge-policy';
import { fraction, idSchema } from './palette';
import { strokeSchema } from './strokes';
import { text } from './text';

/** How colours go onto a picture: its values held, or nothing but the palette's own colours. */
export const USE_MODES = ['held', 'strict'] as const;
export type UseMode = (typeof USE_MODES)[number];

export const MAX_USED = 64;
export const MAX_VARIANTS = 48;
export const MAX_HELD = 200;
export const MAX_CHANGED = 40;
export const MAX_KEPT_PARTS = 100;

/** A colour of somewhere else as it was when it was taken: what it comes from may change or go. */
export const usedColourSchema = z.object({
  id: idSchema,
  name: text().trim().min(1).max(200),
  colour: oklabSchema,
  /** Of the picture it comes from; null where that is not known. */
  share: fraction.nullable(),
  /** Where most of it stands there, from above; null where that is not known. */
  height: fraction.nullable(),
  /** The library or study that it comes from. */
  from: text().max(200),
});
export type UsedColour = z.infer<typeof usedColourSchema>;

/** A place of the original inside a mass. */
const place = { x: fraction, y: fraction };

export const transferChoiceSchema = z.object({
  /** The colours to put on the picture; null for the study's own as they stand. */
  colours: z.array(usedColourSchema).max(MAX_USED).nullable(),
  mode: z.enum(USE_MODES),
  way: z.enum(PROPOSALS),
  /** Masses that have the colour of an id whatever else changes; the later over the earlier. */
  held: z.array(z.object({ ...place, colour: idSchema })).max(MAX_HELD),
  /** Colours that are to take more room than they would, or less. */
  prominence: z
    .array(z.object({ colour: idSchema, more: z.union([z.literal(1), z.literal(-1)]) }))
    .max(MAX_USED),
});
export type TransferChoice = z.infer<typeof transferChoiceSchema>;

const degrees = z.number().min(-360).max(720);

/** The sliders of a mood. */
export const moodSettingsSchema = z.object({
  lightHue: degrees,
  lightChroma: z.number().min(0).max(0.2),
  shadowHue: degrees,
  shadowChroma: z.number().min(0).max(0.2),
  key: z.number().min(-6).max(6),
  range: z.number().min(0.1).max(2),
  apart: z.number().min(-2).max(3),
  chroma: z.number().min(0).max(2),
  greens: z.number().min(-45).max(45),
  air: fraction,
});

export const moodChoiceSchema = z.object({ mood: z.enum(MOODS), settings: moodSettingsSchema });
export type MoodChoice = z.infer<typeof moodChoiceSchema>;

const move = z.number().int().min(-MAX_MOVE).max(MAX_MOVE);
export const movesOfMassSchema = z.object({
  value: move,
  warmth: move,
  chroma: move,
  distance: move,
});

/** What is tried on single masses. */
export const whatIfChoiceSchema = z
  .array(z.object({ ...place, moves: movesOfMassSchema }))
  .max(MAX_CHANGED);
export type WhatIfChoice = z.infer<typeof whatIfChoiceSchema>;

export const keyChoiceSchema = z.object({
  /** OKLCH hue of the key colour, degrees. */
  hue: z.number().min(0).max(360),
  scheme: z.enum(SCHEMES),
  degree: fraction,
  keepsSkin: z.boolean(),
  keepsNeutrals: z.boolean(),
});
export type KeyChoice = z.infer<typeof keyChoiceSchema>;

/** A try that is kept: what was chosen, with its colours as they were. */
export const variantSchema = z.object({
  id: idSchema,
  name: text().trim().min(1).max(120),
  made: asOne(
    z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('transfer'), choice: transferChoiceSchema }),
      z.object({ kind: z.literal('mood'), choice: moodChoiceSchema }),
      z.object({ kind: z.literal('what if'), choice: whatIfChoiceSchema }),
      z.object({ kind: z.literal('key'), choice: keyChoiceSchema }),
    ]),
  ),
});
export type Variant = z.infer<typeof variantSchema>;
export type VariantMade = Variant['made'];

/** What a study's picture is used for: other colours, moods, changes of single masses, one key. */
export const useSchema = z.object({
  transfer: asOne(transferChoiceSchema),
  mood: asOne(moodChoiceSchema),
  whatIf: asOne(whatIfChoiceSchema),
  key: asOne(keyChoiceSchema),
  /** Parts that keep their colours, drawn by hand: skin. */
  parts: asStrokes(z.array(strokeSchema).max(MAX_KEPT_PARTS)),
  variants: byId(z.array(variantSchema).max(MAX_VARIANTS)),
});
export type UseSettings = z.infer<typeof useSchema>;

export const DEFAULT_USE: UseSettings = {
  transfer: { colours: null, mode: 'held', way: 'by value', held: [], prominence: [] },
  mood: { mood: 'golden evening', settings: MOOD_SETTINGS['golden evening'] },
  whatIf: [],
  key: { hue: 60, scheme: 'analogous', degree: 0.5, keepsSkin: true, keepsNeutrals: true },
  parts: [],
  variants: [],
};
