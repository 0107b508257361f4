import { z } from 'zod';
import { INTENSITY_WORDS } from '@/core/colour/intensity';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { oklabSchema } from './colour';

/** What a person says of a colour: family by its number on the wheel, Munsell value, intensity. */
export const guessSchema = z.object({
  wheel: z.enum(WHEEL_IDS),
  family: z.number().int().min(0).max(11),
  value: z.number().min(0).max(10),
  intensity: z.enum(INTENSITY_WORDS),
});
export type Guess = z.infer<typeof guessSchema>;

/** A guess that was made, with the colour it was made of. The id is the asker's, so that one sent twice counts once. */
export const attemptSchema = z.object({
  id: z.uuid(),
  studyId: z.uuid(),
  colour: oklabSchema,
  guess: guessSchema,
});
export type Attempt = z.infer<typeof attemptSchema>;

/** How all guesses went. */
export const recordSchema = z.object({
  count: z.number().int().min(0),
  /** Of those whose colour had a family, how many were right. */
  families: z.object({ right: z.number().int(), of: z.number().int() }),
  /** Munsell steps off, on average, either way; and leaning: above 0 where guesses come out too light. */
  valueOff: z.number().nullable(),
  valueLean: z.number().nullable(),
  /** Intensity words off, above 0 where guesses come out too strong. */
  intensityLean: z.number().nullable(),
  /** Mean score of 100. */
  score: z.number().nullable(),
});
export type GuessRecord = z.infer<typeof recordSchema>;
