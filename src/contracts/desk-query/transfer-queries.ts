import { z } from 'zod';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { MAX_SQUINT } from '@/core/picture/squint';
import { PAINTING_ORDERS } from '@/core/transfer/plan-masses';
import { PROPOSALS, type ProposalKind } from '@/core/transfer/proposals';
import { oklabSchema } from '../colour';
import { strokeSchema } from '../strokes';
import { depthMarkSchema, MAX_DEPTH_MARKS, valueSettingsSchema } from '../study';
import {
  keyChoiceSchema,
  MAX_HELD,
  MAX_KEPT_PARTS,
  MAX_USED,
  moodSettingsSchema,
  USE_MODES,
  whatIfChoiceSchema,
} from '../use';

/** How large a picture is made: as the Desk works, at half of that to follow a hand, or small to stand beside others. */
export const MADE_SIZES = ['whole', 'half', 'small'] as const;
export type MadeSize = (typeof MADE_SIZES)[number];

const squint = z.number().min(0).max(MAX_SQUINT);
const place = z.object({ x: z.number(), y: z.number() });
const parts = z.array(strokeSchema).max(MAX_KEPT_PARTS);
const marks = z.array(depthMarkSchema).max(MAX_DEPTH_MARKS);
const steps = z.number().positive();
const colourNumber = z
  .number()
  .int()
  .min(0)
  .max(MAX_USED - 1);

/** Colours put on the masses; places are of the original, colours go by their number. */
const transfer = {
  colours: z
    .array(
      z.object({
        colour: oklabSchema,
        share: z.number().min(0).max(1).nullable(),
        height: z.number().nullable(),
      }),
    )
    .min(1)
    .max(MAX_USED),
  held: z.array(z.object({ x: z.number(), y: z.number(), colour: colourNumber })).max(MAX_HELD),
  /** For each colour how much more of it is wanted than usual: 1 more, −1 less. */
  prominence: z.array(z.number().int().min(-1).max(1)).max(MAX_USED),
  values: valueSettingsSchema,
  /** What keeps its colours weighs nothing. */
  parts,
};
const way = z.enum(PROPOSALS);
const made = { size: z.enum(MADE_SIZES), grey: z.boolean() };
const transferred = { ...transfer, way, mode: z.enum(USE_MODES) };
const mood = { settings: moodSettingsSchema, squint, marks, parts };
const whatIf = { moves: whatIfChoiceSchema, squint, parts };

/** What a picture is made into, in colour or as its grey. */
export const madeQueries = [
  z.object({ kind: z.literal('transferred'), ...transferred, ...made }),
  z.object({ kind: z.literal('mood'), ...mood, ...made }),
  z.object({ kind: z.literal('whatIf'), ...whatIf, ...made }),
  z.object({
    kind: z.literal('oneKey'),
    key: keyChoiceSchema,
    wheel: z.enum(WHEEL_IDS),
    parts,
    ...made,
  }),
] as const;
export const madeQuerySchema = z.discriminatedUnion('kind', madeQueries);
export type MadeQuery = z.infer<typeof madeQuerySchema>;

/** What the step Use asks. */
export const transferQueries = [
  ...madeQueries,
  /** The masses that colours are put on. */
  z.object({ kind: z.literal('subject'), squint }),
  /** The mass at a place of the framed picture. */
  z.object({ kind: z.literal('massAt'), squint, place }),
  /** The masses at places of the original. */
  z.object({ kind: z.literal('massesAt'), squint, places: z.array(place).max(MAX_HELD) }),
  /** Ways to put some colours on the masses. */
  z.object({ kind: z.literal('proposals'), ...transfer }),
  /** How well values hold, and what the palette misses. */
  z.object({ kind: z.literal('transferFigures'), ...transferred }),
  /** The picture in nothing but these colours, hatched where they have no such value. */
  z.object({ kind: z.literal('unreached'), ...transferred }),
  /** Where a colour of a transfer would tie the picture together: places within so many steps of its value. */
  z.object({ kind: z.literal('echo'), ...transfer, way, colour: colourNumber, within: steps }),
  /** The transfer as masses to paint. */
  z.object({
    kind: z.literal('massPlan'),
    ...transferred,
    within: steps,
    order: z.enum(PAINTING_ORDERS),
  }),
  /** What a mood does to values, and the palette that comes of it. */
  z.object({ kind: z.literal('moodEffect'), ...mood }),
  /** What the moves of the mass at a place of the original do to the whole. */
  z.object({ kind: z.literal('whatIfEffect'), ...whatIf, place }),
  /** What of the picture's colour lies in a key's scheme, before and after. */
  z.object({ kind: z.literal('keyEffect'), key: keyChoiceSchema, wheel: z.enum(WHEEL_IDS), parts }),
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
  /** Those zones, from dark to light. */
  missing: number[];
}

export interface ProposalAnswer {
  kind: ProposalKind;
  /** For each mass the number of its colour. */
  of: number[];
}
