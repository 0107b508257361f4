import { z } from 'zod';
import type { Drawing } from '@/core/plan/drawing';
import { text } from './text';

const length = z.number().min(-2000).max(2000);
const width = z.number().min(0).max(20);
const colour = z.string().regex(/^#[0-9a-f]{6}$/i, 'a colour is #rrggbb');
const paint = { fill: colour.nullable(), stroke: colour.nullable(), strokeWidth: width };
const MAX_PATH = 4_000_000;
const MAX_MARKS = 5000;
const MAX_SHEETS = 30;

const markSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('path'),
    d: z
      .string()
      .max(MAX_PATH)
      .regex(/^[MLZ0-9.\s-]*$/, 'a path is of M, L and Z')
      // Whatever is beyond the largest paper, and what no PDF can hold.
      .refine((d) => !/\d{5}/.test(d.replace(/\.\d+/g, '')), 'a path has millimetres'),
    ...paint,
  }),
  z.object({
    kind: z.literal('rect'),
    x: length,
    y: length,
    width: length,
    height: length,
    ...paint,
  }),
  z.object({
    kind: z.literal('line'),
    x1: length,
    y1: length,
    x2: length,
    y2: length,
    stroke: colour,
    strokeWidth: width,
  }),
  z.object({
    kind: z.literal('text'),
    x: length,
    y: length,
    words: text().max(400),
    size: z.number().min(1).max(60),
    fill: colour,
    anchor: z.enum(['start', 'middle', 'end']),
  }),
]);

/** A plan on its way to the printer. */
const drawingSchema = z.object({
  width: z.number().min(50).max(1200),
  height: z.number().min(50).max(1200),
  title: text().max(200),
  parts: z
    .array(z.object({ name: z.string().max(40), marks: z.array(markSchema).max(MAX_MARKS) }))
    .max(20),
}) satisfies z.ZodType<Drawing>;

/** Sheets of one print, the first of which names it. */
export const drawingsSchema = z.array(drawingSchema).min(1).max(MAX_SHEETS);
