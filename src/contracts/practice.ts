import { z } from 'zod';
import { DRILL_KINDS } from '@/core/drills/kinds';
import { oklabSchema } from './colour';

/** Milliseconds since 1970. */
const at = z.number().int().min(0).max(8.64e15);

/** How an answer came out: `Outcome` of the core. */
export const outcomeSchema = z.object({
  isRight: z.boolean().nullable(),
  valueOff: z.number().min(-10).max(10).optional(),
  familyOff: z.number().min(0).max(6).optional(),
  chromaOff: z.number().min(-1).max(1).optional(),
  intensityOff: z.number().int().min(-5).max(5).optional(),
  swapped: z.number().int().min(0).max(20).optional(),
});

/** An answer of a round. The id is the asker's, so that one sent twice counts once. */
export const drillAnswerSchema = z.object({
  id: z.uuid(),
  at,
  kind: z.enum(DRILL_KINDS.map(({ id }) => id)),
  /** The colour that was asked about. */
  about: oklabSchema,
  difficulty: z.number().min(0).max(1),
  outcome: outcomeSchema,
});
export type DrillAnswer = z.infer<typeof drillAnswerSchema>;

/** So many are taken at once; what waited longer comes in several. */
export const MAX_ANSWERS = 200;
export const drillAnswersSchema = z.array(drillAnswerSchema).min(1).max(MAX_ANSWERS);

/** Where something was missed that is no question of a round. */
export const ELSEWHERE = ['guess', 'mixture', 'check'] as const;

/** A guess on the Desk, a mixture or a study: how far it was from the colour that was meant. */
const elsewhereSchema = z.object({
  at,
  from: z.enum(ELSEWHERE),
  colour: oklabSchema,
  familyOff: z.number().nullable(),
  valueOff: z.number(),
  intensityOff: z.number(),
});
export type Elsewhere = z.infer<typeof elsewhereSchema>;

/** All that is known of an eye. */
export const practiceRecordSchema = z.object({
  answers: z.array(drillAnswerSchema),
  elsewhere: z.array(elsewhereSchema),
});
export type PracticeRecord = z.infer<typeof practiceRecordSchema>;
