import { z } from 'zod';
import { PROPOSALS } from '@/core/transfer/proposals';
import { oklabSchema } from '../colour';
import { MAX_TRAY, valueSettingsSchema } from '../study';

/** How colours go onto a picture: its values held, or nothing but the palette's own colours. */
export const USE_MODES = ['held', 'strict'] as const;
export type UseMode = (typeof USE_MODES)[number];

const squint = z.number().min(0).max(0.05);
const MAX_MASSES = 4000;

/** For each mass a colour's number; −1 leaves it free. */
const perMass = z.array(z.number().int().min(-1).max(MAX_TRAY)).max(MAX_MASSES);

const offeredSchema = z.object({
  colour: oklabSchema,
  share: z.number().min(0).max(1).nullable(),
  height: z.number().nullable(),
});

/** What a transfer is made of. */
const transfer = {
  colours: z.array(oklabSchema).min(1).max(MAX_TRAY),
  of: perMass,
  mode: z.enum(USE_MODES),
  values: valueSettingsSchema,
};

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
});

/** What the step Use asks. */
export const transferQueries = [
  /** The masses that colours are put on. */
  z.object({ kind: z.literal('subject'), squint }),
  /** The mass at a place. */
  z.object({
    kind: z.literal('massAt'),
    squint,
    place: z.object({ x: z.number(), y: z.number() }),
  }),
  /** Ways to put some colours on the masses. */
  z.object({
    kind: z.literal('proposals'),
    squint,
    colours: z.array(offeredSchema).min(1).max(MAX_TRAY),
    locks: perMass,
  }),
  /** The picture with these colours; `quick` at half the size. */
  z.object({ kind: z.literal('transferred'), ...transfer, quick: z.boolean() }),
  /** How well values hold in it, and what it misses. */
  z.object({ kind: z.literal('transferFigures'), ...transfer }),
  /** The scene in another mood, and what that does to its values. */
  z.object({
    kind: z.literal('mood'),
    settings: moodSettingsSchema,
    squint,
    quick: z.boolean(),
  }),
  z.object({ kind: z.literal('moodEffect'), settings: moodSettingsSchema, squint }),
] as const;

/** How a transfer holds the subject's values. */
export interface TransferFigures {
  /** |ΔL*|: the mean, and what 99 % are within. */
  mean: number;
  most: number;
  /** Of the picture, what stays in its zone of value, 0–1. */
  zones: number;
  /** Of the picture, what stands in a zone that no colour lies in, 0–1; only where nothing but the palette is used. */
  missed: number;
}

export interface ProposalAnswer {
  kind: (typeof PROPOSALS)[number];
  of: number[];
}
