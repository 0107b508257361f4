import { z } from 'zod';
import { keptFamiliesSchema, MAX_PROTECTED_PARTS, onlySchema, pushSchema } from './hidden';
import { strokeSchema } from './strokes';
import {
  correctionSchema,
  framingSchema,
  MAX_CORRECTIONS,
  neutralPointSchema,
  valueSettingsSchema,
  type StudyDocument,
} from './study';

/** A push and what is kept from it; places are of the original. */
export const pushSettingsSchema = z.object({
  push: pushSchema,
  kept: keptFamiliesSchema,
  parts: z.array(strokeSchema).max(MAX_PROTECTED_PARTS),
  only: onlySchema,
  /** What zones and sides are read by; they only matter where `only` says so. */
  values: valueSettingsSchema,
  corrections: z.array(correctionSchema).max(MAX_CORRECTIONS),
});
export type PushSettings = z.infer<typeof pushSettingsSchema>;

/** How a study pushes its quiet colours, in the form of a query. */
export function pushSettingsOf({ hidden, values, lightAndShadow }: StudyDocument): PushSettings {
  const { push, kept, parts, only } = hidden;
  return { push, kept, parts, only, values, corrections: lightAndShadow.corrections };
}

/** A picture wanted pushed, at the size it came in. */
export const pushRequestSchema = z.object({
  settings: pushSettingsSchema,
  framing: framingSchema,
  neutral: neutralPointSchema.nullable(),
});
export type PushRequest = z.infer<typeof pushRequestSchema>;
