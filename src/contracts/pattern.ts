import { z } from 'zod';
import { ENDS_HELD, MAPPINGS } from '@/core/pattern/map-paints';
import { REPEATS } from '@/core/pattern/repeat';
import { MAX_LIGHTER, MAX_WIDER, STARTS } from '@/core/pattern/way-colours';
import { DEFAULT_CHOICE } from '@/core/pattern/colourway';
import { MAX_INKS, MIN_INKS } from '@/core/mixing/inks';
import {
  DEFAULT_DUPLICATE_THRESHOLD,
  MAX_DUPLICATE_THRESHOLD,
  MIN_DUPLICATE_THRESHOLD,
} from '@/core/palette/near-duplicates';
import { oklabSchema } from './colour';
import { PATTERN_VERSION, patternUpgrades } from './documents/pattern-upgrades';
import { asOne, byId } from './documents/merge-policy';
import { readDocument, type VersionedDocument } from './documents/versioned';
import { fraction, idSchema } from './palette';
import { text } from './text';

/** More colours than these in one drawing are a picture. */
export const MAX_PAINTS = 1000;
export const MAX_SOURCES = 24;
export const MAX_SOURCE_COLOURS = 64;
export const MAX_COLOURWAYS = 60;
/** Centimetres that a tile is wide on cloth. */
export const TILE_CENTIMETRES = { min: 0.5, max: 200 } as const;

const hexSchema = z.string().regex(/^#[0-9a-f]{6}$/);
export const drawingHashSchema = z.string().regex(/^[0-9a-f]{64}$/);

const wayColourSchema = z.object({
  id: idSchema,
  name: text().trim().min(1).max(200),
  colour: oklabSchema,
  share: fraction.nullable(),
});

const degrees = z.number().min(-360).max(360);

const colourMoveSchema = z.object({
  colour: idSchema,
  turn: degrees,
  lighter: z.number().min(-MAX_LIGHTER).max(MAX_LIGHTER),
  wider: z.number().min(-MAX_WIDER).max(MAX_WIDER),
  instead: z.union([z.literal('nearest'), z.object({ id: idSchema })]).nullable(),
});

/** What is chosen for a colourway, as `ColourwayChoice`. */
const choiceSchema = z.object({
  by: z.enum(MAPPINGS),
  ends: z.enum(ENDS_HELD),
  start: z.enum(STARTS).nullable(),
  turn: degrees,
  moves: z.array(colourMoveSchema).max(MAX_SOURCES * MAX_SOURCE_COLOURS),
  held: z.array(z.object({ paint: hexSchema, colour: idSchema.nullable() })).max(MAX_PAINTS),
  ground: idSchema.nullable(),
  inks: z.number().int().min(MIN_INKS).max(MAX_INKS).nullable(),
  overprint: z.boolean(),
  tints: z.boolean(),
});

/** Where colours come from, as they were when they were taken. */
export const SOURCE_KINDS = ['library', 'study', 'swatches'] as const;
const sourceSchema = z.object({
  id: idSchema,
  title: text().trim().min(1).max(200),
  kind: z.enum(SOURCE_KINDS),
  /** Whether its colours are in use now. */
  used: z.boolean(),
  colours: asOne(z.array(wayColourSchema).min(1).max(MAX_SOURCE_COLOURS)),
});
export type PatternSource = z.infer<typeof sourceSchema>;

/** A colourway that is kept: what it was made of, and what each paint became. */
const keptColourwaySchema = z.object({
  id: idSchema,
  name: text().trim().min(1).max(200),
  favourite: z.boolean(),
  made: asOne(
    z.object({
      choice: choiceSchema,
      colours: z.array(wayColourSchema).max(MAX_SOURCES * MAX_SOURCE_COLOURS),
      map: z.array(z.tuple([hexSchema, hexSchema])).max(MAX_PAINTS),
      /** What is laid below a drawing that has no ground. */
      laid: hexSchema.nullable(),
    }),
  ),
});
export type KeptColourway = z.infer<typeof keptColourwaySchema>;

const withOwnIds = (things: readonly { id: string }[]) =>
  new Set(things.map(({ id }) => id)).size === things.length;

export const patternContentSchema = z.object({
  title: text().trim().min(1, 'A pattern needs a title.').max(200),
  note: text().max(2000),
  /** The drawing as it is coloured: what was imported, or that with its regions filled. */
  drawing: drawingHashSchema,
  /** CIEDE2000 within which colours are near-duplicates. */
  threshold: z.number().min(MIN_DUPLICATE_THRESHOLD).max(MAX_DUPLICATE_THRESHOLD),
  /** Paints that became others in the drawing itself; their hex is their id. */
  merges: byId(
    z
      .array(z.object({ id: hexSchema, into: hexSchema }))
      .max(MAX_PAINTS)
      .refine(withOwnIds, 'a paint is merged twice'),
  ),
  sources: byId(
    z.array(sourceSchema).max(MAX_SOURCES).refine(withOwnIds, 'two sources have the same id'),
  ),
  /** The colourway that is being tried. */
  choice: asOne(choiceSchema),
  colourways: byId(
    z
      .array(keptColourwaySchema)
      .max(MAX_COLOURWAYS)
      .refine(withOwnIds, 'two colourways have the same id'),
  ),
  cloth: asOne(
    z.object({
      repeat: z.enum(REPEATS),
      centimetres: z.number().min(TILE_CENTIMETRES.min).max(TILE_CENTIMETRES.max),
    }),
  ),
});
export type PatternContent = z.infer<typeof patternContentSchema>;

export function newPattern(title: string, drawing: string): PatternContent {
  return {
    title,
    note: '',
    drawing,
    threshold: DEFAULT_DUPLICATE_THRESHOLD,
    merges: [],
    sources: [],
    choice: { ...DEFAULT_CHOICE, moves: [], held: [] },
    colourways: [],
    cloth: { repeat: 'straight', centimetres: 12 },
  };
}

const storedPatternSchema = patternContentSchema.extend({ version: z.literal(PATTERN_VERSION) });
export type StoredPattern = z.infer<typeof storedPatternSchema>;

export const patternDocuments: VersionedDocument<StoredPattern> = {
  schema: storedPatternSchema,
  upgrades: patternUpgrades,
};

/** A stored pattern of whatever version. Throws a ZodError or a RangeError as `readDocument` does. */
export function readPattern(stored: unknown): PatternContent {
  const { version: _, ...content } = readDocument(patternDocuments, stored);
  return content;
}

export const storedPattern = (content: PatternContent): StoredPattern => ({
  ...content,
  version: PATTERN_VERSION,
});
