import { z } from 'zod';
import { MAX_INKS, MIN_INKS } from '@/core/mixing/inks';
import { oklabSchema } from './colour';
import { framingSchema, neutralPointSchema } from './study';
import { text } from './text';

/** How plates leave the house: as greys for whoever screens them, as dots, or without tone. */
export const PLATE_KINDS = ['greys', 'screened', 'flat'] as const;
export type PlateKind = (typeof PLATE_KINDS)[number];

/** Lines of dots to an inch that 600 dots of a printer carry. */
export const RULINGS = [20, 65] as const;
/** How wide the print is, in centimetres. */
export const PRINT_WIDTHS = [5, 40] as const;

/** A study's picture wanted as plates. */
export const platesRequestSchema = z.object({
  inks: z
    .array(
      z.object({
        name: text().trim().min(1).max(160),
        colour: oklabSchema,
        strength: z.number().min(0.01).max(100),
      }),
    )
    .min(MIN_INKS)
    .max(MAX_INKS),
  paper: oklabSchema,
  kind: z.enum(PLATE_KINDS),
  ruling: z.number().int().min(RULINGS[0]).max(RULINGS[1]),
  width: z.number().min(PRINT_WIDTHS[0]).max(PRINT_WIDTHS[1]),
  framing: framingSchema,
  neutral: neutralPointSchema.nullable(),
});
export type PlatesRequest = z.infer<typeof platesRequestSchema>;
