import { z } from 'zod';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { SCHEMES } from '@/core/measure/harmony';
import { RULES } from '@/core/palette/derived';
import { MIN_STEPS, MAX_STEPS } from '@/core/palette/ladder';
import { oklabSchema } from './colour';
import { asOne } from './documents/merge-policy';
import { text } from './text';

/** What a palette is made of besides its colours, in a study as in a library. */

export const fraction = z.number().min(0).max(1);
export const idSchema = text().min(1).max(40);
const munsell = z.number().min(0).max(10);

/** What a swatch follows while it is linked: a tone of a set, or another swatch by a rule. */
export const followsSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('set'), id: idSchema, index: z.number().int().min(0).max(15) }),
  z.object({
    kind: z.literal('rule'),
    from: idSchema,
    rule: z.enum(RULES),
    amount: fraction,
    warmth: z.number().min(-1).max(1),
    wheel: z.enum(WHEEL_IDS),
  }),
]);
export type Follows = z.infer<typeof followsSchema>;

const movesSchema = z.object({
  value: z.number().min(-10).max(10),
  warmth: z.number().min(-3).max(3),
  chroma: z.number().min(-0.5).max(0.5),
  turn: z.number().min(-6).max(6),
});

/** How a hand changed a swatch's colour. */
export const swatchChangeSchema = z.object({
  /** What it was. */
  was: oklabSchema,
  /** What the moves start from: what it was, or a colour that was typed in. */
  from: oklabSchema,
  moves: movesSchema,
});
export type SwatchChange = z.infer<typeof swatchChangeSchema>;

/** A group of swatches that moves as one: tones of one colour, or the hues of a scheme about a key. */
export const setSchema = z.discriminatedUnion('kind', [
  z.object({
    id: idSchema,
    kind: z.literal('ladder'),
    colour: asOne(oklabSchema),
    settings: asOne(
      z.object({
        steps: z.number().int().min(MIN_STEPS).max(MAX_STEPS),
        from: munsell,
        to: munsell,
        drift: z.number().min(-60).max(60),
        swing: z.number().min(-180).max(180),
        intensity: z.number().min(0).max(2),
        taper: fraction,
      }),
    ),
  }),
  z.object({
    id: idSchema,
    kind: z.literal('harmony'),
    colour: asOne(oklabSchema),
    wheel: z.enum(WHEEL_IDS),
    settings: asOne(
      z.object({
        scheme: z.enum(SCHEMES),
        values: z.array(munsell).min(1).max(12),
        intensity: fraction,
        /** Of each colour by itself; `intensity` where it is left out. */
        intensities: z.array(fraction).max(12),
        /** Whether the key stands in it as it is, turned at most. */
        keepsKey: z.boolean(),
        /** 1, or the tones of a ladder of the key that stands in its place. */
        tones: z.number().int().min(1).max(MAX_STEPS),
        turn: z.number().min(-6).max(6),
        turns: z.array(z.number().min(-6).max(6)).max(12),
      }),
    ),
  }),
]);
export type PaletteSet = z.infer<typeof setSchema>;
export const MAX_SETS = 16;
export const setsSchema = z.array(setSchema).max(MAX_SETS);

/** What main, second and accent are to take of the three. */
export const targetSchema = asOne(z.object({ main: fraction, second: fraction, accent: fraction }));
