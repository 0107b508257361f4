import { z } from 'zod';
import { CASTS, type Push } from '@/core/amplify/push';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { asOne, asStrokes, byId } from './documents/merge-policy';
import { strokeSchema } from './strokes';
import { text } from './text';

const fraction = z.number().min(0).max(1);
const idSchema = text().min(1).max(40);
export const MAX_LOOKS = 24;
export const MAX_PROTECTED_PARTS = 100;

/** How far quiet colours are pushed, each way. */
export const pushSchema = z.object({
  lift: fraction,
  quiet: fraction,
  spread: fraction,
  cast: z.enum(CASTS),
}) satisfies z.ZodType<Push>;

/** Where may be pushed at all. */
export const onlySchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('all') }),
  z.object({ kind: z.literal('side'), side: z.enum(['light', 'shadow']) }),
  z.object({ kind: z.literal('zone'), index: z.number().int().min(0).max(8) }),
]);
export type Only = z.infer<typeof onlySchema>;

/** Families by their index on a wheel: they are kept as they are. */
export const keptFamiliesSchema = z.object({
  wheel: z.enum(WHEEL_IDS),
  families: z.array(z.number().int().min(0).max(11)).max(12),
});

/** A push under a name, to come back to. */
export const lookSchema = z.object({
  id: idSchema,
  name: text().trim().min(1).max(80),
  push: asOne(pushSchema),
});
export type Look = z.infer<typeof lookSchema>;

export const DEFAULT_PUSH: Push = { lift: 0, quiet: 0, spread: 0.5, cast: 'global' };

/** What a study does to its quiet colours. */
export const hiddenSchema = z.object({
  push: asOne(pushSchema),
  kept: asOne(keptFamiliesSchema),
  /** Parts of the picture that are left alone, drawn by hand. */
  parts: asStrokes(z.array(strokeSchema).max(MAX_PROTECTED_PARTS)),
  only: asOne(onlySchema),
  looks: byId(z.array(lookSchema).max(MAX_LOOKS)),
});
export type HiddenSettings = z.infer<typeof hiddenSchema>;

export const DEFAULT_HIDDEN: HiddenSettings = {
  push: DEFAULT_PUSH,
  kept: { wheel: 'painters', families: [] },
  parts: [],
  only: { kind: 'all' },
  looks: [],
};
