import { z } from 'zod';
import { madeQuerySchema, type MadeQuery } from './desk-query/transfer-queries';
import { framingSchema, neutralPointSchema, type StudyDocument } from './study';

/** What is to be made of a study's picture, at the size it came in. */
export const madeRequestSchema = z.object({
  query: madeQuerySchema,
  framing: framingSchema,
  neutral: neutralPointSchema.nullable(),
});
export type MadeRequest = z.infer<typeof madeRequestSchema>;

export const fullSizeOf = (
  { framing, neutral }: Pick<StudyDocument, 'framing' | 'neutral'>,
  query: MadeQuery,
): MadeRequest => ({ query, framing, neutral });
