import { z } from 'zod';
import { MAX_REGIONS } from '@/core/pattern/fill-regions';
import { MAX_PAINTS, drawingHashSchema, patternContentSchema } from './pattern';
import { paperSchema } from './print';
import { idSchema } from './palette';

/** Bytes of a file that a pattern is imported from. */
export const MAX_DRAWING_BYTES = 20 * 1024 * 1024;
/** Pixels of a flat picture that is traced. */
export const MAX_TRACED_PIXELS = 9_000_000;

const hex = z.string().regex(/^#[0-9a-f]{6}$/);
const share = z.number().min(0).max(1);

/** What is known of a drawing without reading it again. */
export const drawingFactsSchema = z.object({
  /** What it came as: a drawing, or a picture of flat colours that was traced. */
  kind: z.enum(['svg', 'png']),
  /** CSS pixels; of a traced picture its own. */
  width: z.number().positive(),
  height: z.number().positive(),
  shapes: z.number().int().min(0),
  /** Each colour with its share of the drawing as it is drawn; null where it couldn't be drawn. */
  areas: z
    .array(z.tuple([hex, share]))
    .max(MAX_PAINTS)
    .nullable(),
  touching: z.array(z.tuple([hex, hex])).max(MAX_PAINTS * 40),
  ground: hex.nullable(),
  /** The share that nothing is drawn on. */
  bare: share,
  /** What could run or be fetched, and is not in what is shown and written. */
  leftOut: z.array(z.string().max(300)).max(100),
  /** Of a drawing of lines whose regions were filled. */
  regions: z
    .object({
      count: z.number().int().min(0).max(MAX_REGIONS),
      /** Gaps that were bridged, in shares of width and height, each between two regions. */
      bridged: z
        .array(z.object({ x: share, y: share, between: z.tuple([z.number(), z.number()]) }))
        .max(200),
    })
    .nullable(),
});
export type DrawingFacts = z.infer<typeof drawingFactsSchema>;

export const patternSchema = z.object({
  id: z.uuid(),
  revision: z.number().int(),
  content: patternContentSchema,
  /** What is known of each of its drawings, by hash; the imported one first. */
  drawings: z.array(z.object({ hash: drawingHashSchema, facts: drawingFactsSchema })),
});
export type Pattern = z.infer<typeof patternSchema>;

export const savePatternSchema = z.object({
  basedOn: z
    .number()
    .int()
    .min(1)
    .max(2 ** 31 - 1),
  content: patternContentSchema,
});

/** A pattern as it stands among others. */
export const patternCardSchema = z.object({
  id: z.uuid(),
  title: z.string(),
  drawing: drawingHashSchema,
  width: z.number(),
  height: z.number(),
  /** Its own colours after merging, by area. */
  colours: z.array(z.object({ hex, share })),
  colourways: z.number().int(),
  updatedAt: z.string(),
});
export type PatternCard = z.infer<typeof patternCardSchema>;

export const binnedPatternSchema = z.object({
  id: z.uuid(),
  title: z.string(),
  goneAt: z.string(),
});

/** What regions of a drawing of lines are to be filled. */
export const fillRequestSchema = z.object({
  drawing: drawingHashSchema,
  /** Gaps up to so wide are bridged, as a share of the longer side. */
  gap: z.number().min(0).max(0.05),
  repeats: z.boolean(),
});

export const filledSchema = z.object({ hash: drawingHashSchema, facts: drawingFactsSchema });

export const PATTERN_PARTS = [
  'title',
  'drawing',
  'merges',
  'sources',
  'choice',
  'colourways',
  'cloth',
] as const;
export type PatternPart = (typeof PATTERN_PARTS)[number];

/** An earlier state of a pattern, and what had changed since the one before it. */
export const patternRevisionSchema = z.object({
  revision: z.number().int(),
  savedAt: z.string(),
  colourways: z.number().int(),
  changed: z.array(z.enum(PATTERN_PARTS)),
});
export type PatternRevision = z.infer<typeof patternRevisionSchema>;

export const MAX_TILE_PIXELS = 6000;
/** Which kept colourways go out; the original is always with them. */
export const colourwaysRequestSchema = z.object({ ids: z.array(idSchema).max(60) });
export const sheetRequestSchema = colourwaysRequestSchema.extend({ paper: paperSchema });
export const zipRequestSchema = sheetRequestSchema.extend({
  /** Pixels along the longer side of each PNG tile. */
  side: z.number().int().min(16).max(MAX_TILE_PIXELS),
});
