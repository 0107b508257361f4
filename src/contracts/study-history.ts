import { z } from 'zod';

/** The parts of a study that a history speaks of. */
export const STUDY_PARTS = [
  'title',
  'about',
  'aims',
  'framing',
  'neutral',
  'values',
  'light',
  'depth',
  'hidden',
  'use',
  'medium',
  'palette',
  'recipes',
] as const;
export type StudyPart = (typeof STUDY_PARTS)[number];

/** An earlier state of a study, and what had changed since the one before it. */
export const studyRevisionSchema = z.object({
  revision: z.number().int(),
  savedAt: z.string(),
  title: z.string(),
  /** How many swatches its palette had. */
  swatches: z.number().int(),
  changed: z.array(z.enum(STUDY_PARTS)),
});
export type StudyRevision = z.infer<typeof studyRevisionSchema>;
