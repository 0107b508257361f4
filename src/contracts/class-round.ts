import { z } from 'zod';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { oklabSchema, valueScaleSchema } from './colour';
import { SURROUNDS } from './settings';
import { text } from './text';

/** Questions of a round for a class. */
export const CLASS_COUNT = { min: 5, max: 40 } as const;
export const CLASS_LEVELS = ['easy', 'middle', 'hard'] as const;
const MAX_COLOURS = 12;

const place = z.number().int().min(0).max(40);
const places = z.array(place).min(1).max(MAX_COLOURS).readonly();
const colours = z.array(oklabSchema).min(1).max(MAX_COLOURS).readonly();
const words = z.array(z.string().max(60)).min(1).max(MAX_COLOURS).readonly();

const shownSchema = z.discriminatedUnion('as', [
  z.object({ as: z.literal('patch'), colour: oklabSchema }),
  z.object({ as: z.literal('row'), colours }),
  z.object({ as: z.literal('in a ground'), colour: oklabSchema, ground: oklabSchema }),
  z.object({
    as: z.literal('pile'),
    colour: oklabSchema,
    parts: z
      .array(z.object({ tube: z.string().max(60), parts: z.number() }))
      .max(8)
      .readonly(),
    wanted: oklabSchema,
  }),
  z.object({
    as: z.literal('field'),
    areas: z
      .array(z.object({ colour: oklabSchema, share: z.number() }))
      .max(40)
      .readonly(),
  }),
]);

const formSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('word'), words, right: places }),
  z.object({ by: z.literal('colour'), colours, right: places }),
  z.object({ by: z.literal('place'), right: places }),
  z.object({ by: z.literal('value'), value: z.number(), within: z.number() }),
  z.object({ by: z.literal('order'), order: places }),
  z.object({
    by: z.literal('match'),
    colour: oklabSchema,
    start: oklabSchema,
    within: z.object({ value: z.number(), chroma: z.number(), families: z.number() }),
  }),
]);

/** `Question` of the core, as it stands in a file: what is right is among what can be chosen. */
const questionSchema = z
  .object({
    kind: z.string().max(60),
    shown: shownSchema,
    form: formSchema,
    about: oklabSchema,
    isEstimate: z.boolean(),
  })
  .refine(({ form, shown }) => {
    const row = shown.as === 'row' ? shown.colours.length : 0;
    switch (form.by) {
      case 'word':
        return form.right.every((one) => one < form.words.length);
      case 'colour':
        return form.right.every((one) => one < form.colours.length);
      case 'place':
        return form.right.every((one) => one < row);
      case 'order':
        return form.order.every((one) => one < row);
      default:
        return true;
    }
  }, 'an answer that can’t be chosen');

/** `Answer` of the core. */
const answerSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('choice'), choice: place }),
  z.object({ by: z.literal('value'), value: z.number().min(0).max(10) }),
  z.object({ by: z.literal('order'), order: places }),
  z.object({ by: z.literal('match'), colour: oklabSchema }),
]);

/** What the page of a round holds: the same questions for all. */
export const classRoundSchema = z.object({
  id: z.uuid(),
  title: z.string().max(200),
  wheel: z.enum(WHEEL_IDS),
  scale: valueScaleSchema,
  surround: z.enum(SURROUNDS),
  questions: z.array(questionSchema).min(1).max(CLASS_COUNT.max).readonly(),
});
export type ClassRound = z.infer<typeof classRoundSchema>;

/** What comes back from one person; it names nobody. A question that was left out has null. */
export const classAnswersSchema = z.object({
  is: z.literal('answers to a round'),
  version: z.literal(1),
  /** Of the sitting, made up: two people may answer alike, and a file may be chosen twice. */
  id: z.string().min(1).max(60),
  round: classRoundSchema,
  answers: z.array(answerSchema.nullable()).max(CLASS_COUNT.max).readonly(),
});
export type ClassAnswers = z.infer<typeof classAnswersSchema>;

/** What a round is made of: a study's palette, a library, or neither: made-up colours. */
export const classRoundQuery = z.object({
  title: text().trim().min(1, 'A round needs a title.').max(120).default('A round'),
  study: z.uuid().optional(),
  library: z.uuid().optional(),
  count: z.coerce.number().int().min(CLASS_COUNT.min).max(CLASS_COUNT.max).default(12),
  level: z.enum(CLASS_LEVELS).default('middle'),
  seed: z.coerce
    .number()
    .int()
    .min(0)
    .max(2 ** 31 - 1)
    .default(1),
});
