import { z } from 'zod';
import { DEPTH_WORDS } from '@/core/depth/depth-marks';
import { SCHEMES } from '@/core/measure/harmony';
import { BREAKS, MIN_ZONES, MAX_ZONES } from '@/core/measure/zones';
import { LAYERED_MEDIA, mediumRecipesSchema } from '@/core/mixing/medium-recipe';
import { swatchRecipeSchema } from '@/core/mixing/swatch-recipe';
import { LEANS } from '@/core/palette/lean';
import { DEFAULT_TARGET, ROLES } from '@/core/palette/proportion';
import { MAX_SQUINT, DEFAULT_SQUINT } from '@/core/picture/squint';
import { areaSchema, oklabSchema } from './colour';
import { asOne, asStrokes, byId, derived } from './documents/merge-policy';
import { readDocument, type VersionedDocument } from './documents/versioned';
import { STUDY_VERSION, studyUpgrades } from './documents/study-upgrades';
import { hiddenSchema, DEFAULT_HIDDEN } from './hidden';
import {
  followsSchema,
  fraction,
  idSchema,
  setsSchema,
  swatchChangeSchema,
  targetSchema,
} from './palette';
import { MAX_POINTS, strokeSchema } from './strokes';
import { text } from './text';
import { DEFAULT_USE, useSchema } from './use';

export const AIMS = [
  'values',
  'colour',
  'hidden colour',
  'a gesture',
  'speed',
  'a medium',
] as const;
export const KINDS = ['master work', 'photograph', 'own work'] as const;
export const KEYS = ['low', 'middle', 'high'] as const;
export const RANGES = ['short', 'medium', 'full'] as const;
/** How zones are drawn over the picture. */
export const ZONE_LOOKS = ['greys', 'colours', 'outlines'] as const;
export const MAX_AIMS = 2;
/** The largest integer that the store holds. */
export const MAX_REVISION = 2 ** 31 - 1;
export const MAX_TRAY = 64;
export const MEDIA = ['paint', ...LAYERED_MEDIA] as const;
export type Medium = (typeof MEDIA)[number];

export const framingSchema = z.object({
  angle: z.number().min(-45).max(45),
  crop: z
    .object({
      x: fraction,
      y: fraction,
      width: z.number().min(0.01).max(1),
      height: z.number().min(0.01).max(1),
    })
    .refine((box) => box.x + box.width <= 1 + 1e-6 && box.y + box.height <= 1 + 1e-6, {
      message: 'the crop reaches beyond the picture',
    })
    .nullable(),
});

/** Something that ought to be grey: where, and the colour it has in the uncorrected picture. */
export const neutralPointSchema = areaSchema.extend({ cast: oklabSchema });

const leafSwatchSchema = z.object({
  id: idSchema,
  name: text().trim().min(1).max(200),
  note: text().max(4000),
  colour: asOne(oklabSchema),
  /** Share of the picture nearest to it. */
  share: derived(fraction.nullable()),
  locked: z.boolean(),
  /** An `end` is a black, white or such that stands beside the colours that are counted. */
  origin: z.enum(['extracted', 'picked', 'brought in', 'built', 'merged', 'end']),
  /** What it is for. */
  role: z.enum(ROLES).nullable(),
  follows: asOne(followsSchema.nullable()),
  /** The colours that make a picked area's average, the largest first. */
  components: asOne(z.array(z.object({ colour: oklabSchema, share: fraction })).max(4)),
  change: asOne(swatchChangeSchema.nullable()),
  /** How it is mixed, once that is kept with it. */
  recipe: asOne(swatchRecipeSchema.nullable()),
  /** How it is laid in media that don't mix in a pile. */
  mediumRecipes: asOne(mediumRecipesSchema),
  /** Where it was taken, or where most of it stands. */
  area: asOne(areaSchema.nullable()),
  /** Mean CIEDE2000 within the picked area; null for one that was not picked. */
  spread: z.number().min(0).nullable(),
});
type LeafSwatch = z.infer<typeof leafSwatchSchema>;
export interface TraySwatch extends LeafSwatch {
  /** What it was merged from, each as it was, with its place in the tray; none for one that was not. */
  parts: { at: number; swatch: TraySwatch }[];
}
export const traySwatchSchema: z.ZodType<TraySwatch> = leafSwatchSchema.extend({
  parts: asOne(
    z
      .array(z.object({ at: z.number().int().min(0), swatch: z.lazy(() => traySwatchSchema) }))
      .max(MAX_TRAY),
  ),
});

export const MAX_CORRECTIONS = 200;

/** A hand's correction of what is light and what is shadow. */
export const correctionSchema = strokeSchema.extend({ side: z.enum(['light', 'shadow']) });
export type StoredCorrection = z.infer<typeof correctionSchema>;

export const MAX_DEPTH_MARKS = 200;

/** A touch that says how far away a mass lies, or which way it faces; the place is of the original. */
export const depthMarkSchema = z.object({
  id: idSchema,
  x: fraction,
  y: fraction,
  is: z.enum(DEPTH_WORDS),
});
export type StoredDepthMark = z.infer<typeof depthMarkSchema>;

/** How zones are cut, and the squint they are read through. */
export const valueSettingsSchema = z
  .object({
    zones: z.number().int().min(MIN_ZONES).max(MAX_ZONES),
    breaks: z.enum(BREAKS),
    /** What parts zones by hand: Munsell values, from dark to light. */
    thresholds: z.array(z.number().min(0).max(10)).max(MAX_ZONES - 1),
    /** The squint that zones are read through, a share of the diagonal. */
    squint: z.number().min(0).max(MAX_SQUINT),
  })
  .refine(({ breaks, thresholds }) => breaks !== 'hand' || thresholds.length > 0, {
    message: 'zones by hand need a threshold',
  });

/**
 * A study as a document: all that the person decided about a picture. Readings are not in it, they
 * follow from it. Stored ones are read by `readStudyDocument`; any change of shape is a new version, with
 * a step in `documents/study-upgrades`.
 */
export const studyDocumentSchema = z.object({
  version: z.literal(STUDY_VERSION),
  title: text().trim().min(1).max(200),
  maker: text().max(200),
  source: text().max(1000),
  rights: text().max(1000),
  kind: z.enum(KINDS).nullable(),
  aims: asOne(z.array(text().trim().min(1).max(120)).max(MAX_AIMS)),
  /** A crop is meant after turning: half of one framing and half of another is neither. */
  framing: asOne(framingSchema),
  neutral: asOne(neutralPointSchema.nullable()),
  values: asOne(valueSettingsSchema),
  /** Corrections of the split into light and shadow, the later over the earlier. */
  lightAndShadow: z.object({
    corrections: asStrokes(z.array(correctionSchema).max(MAX_CORRECTIONS)),
  }),
  /** The later over the earlier, and all over the first guess. */
  depth: z.object({ marks: asStrokes(z.array(depthMarkSchema).max(MAX_DEPTH_MARKS)) }),
  hidden: hiddenSchema,
  use: useSchema,
  /** What the palette is mixed or laid in. */
  medium: z.enum(MEDIA),
  palette: z.object({
    count: z.number().int().min(2).max(16),
    swatches: byId(z.array(traySwatchSchema).max(MAX_TRAY)),
    /** What extraction looks at most. */
    lean: z.enum(LEANS),
    /** The loop that extraction looks within, on the original; null looks at all. */
    region: asOne(
      z
        .array(z.object({ x: z.number(), y: z.number() }))
        .min(3)
        .max(MAX_POINTS)
        .nullable(),
    ),
    /** What main, second and accent are to take of the three. */
    target: targetSchema,
    sets: byId(setsSchema),
  }),
});
export type StudyDocument = z.infer<typeof studyDocumentSchema>;

export const studyDocuments: VersionedDocument<StudyDocument> = {
  schema: studyDocumentSchema,
  upgrades: studyUpgrades,
};

/** A stored study of whatever version. Throws a ZodError or a RangeError as `readDocument` does. */
export const readStudyDocument = (stored: unknown): StudyDocument =>
  readDocument(studyDocuments, stored);

/** The document of a picture that has just been imported. */
export function newDocument(title: string): StudyDocument {
  return {
    version: STUDY_VERSION,
    title,
    maker: '',
    source: '',
    rights: '',
    kind: null,
    aims: [],
    framing: { angle: 0, crop: null },
    neutral: null,
    values: { zones: 4, breaks: 'natural', thresholds: [], squint: DEFAULT_SQUINT },
    lightAndShadow: { corrections: [] },
    depth: { marks: [] },
    hidden: DEFAULT_HIDDEN,
    use: DEFAULT_USE,
    medium: 'paint',
    palette: {
      count: 8,
      swatches: [],
      lean: 'balanced',
      region: null,
      target: DEFAULT_TARGET,
      sets: [],
    },
  };
}

const pictureFacts = z.object({
  id: z.string(),
  hash: z.string(),
  name: z.string(),
  type: z.string(),
  size: z.number(),
  /** Pixels of the original, upright. */
  width: z.number(),
  height: z.number(),
  /** Of a JPEG, 1–100, by its tables; null for what is none, or was not asked. */
  quality: z.number().nullable(),
  /** Pixels of the working copy. */
  workingWidth: z.number(),
  workingHeight: z.number(),
});
export type PictureFacts = z.infer<typeof pictureFacts>;

export const studySchema = z.object({
  id: z.string(),
  revision: z.number().int().min(1),
  document: studyDocumentSchema,
  picture: pictureFacts,
  createdAt: z.string(),
  updatedAt: z.string(),
});
export type Study = z.infer<typeof studySchema>;

export const studyCardSchema = z.object({
  id: z.string(),
  /** Of a document that is damaged only the title is known. */
  isReadable: z.boolean(),
  title: z.string(),
  maker: z.string(),
  kind: z.enum(KINDS).nullable(),
  pictureId: z.string(),
  aspect: z.number(),
  createdAt: z.string(),
  updatedAt: z.string(),
  source: z.string(),
  aims: z.array(z.string()),
  /** What a stave shows of them. */
  swatches: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      colour: oklabSchema,
      share: z.number().nullable(),
    }),
  ),
  /** What is read of it; null while it has not been. */
  reading: z
    .object({
      key: z.enum(KEYS),
      range: z.enum(RANGES),
      median: z.number(),
      /** From the 5th to the 95th percentile of value, Munsell steps. */
      spread: z.number(),
      colours: z
        .object({
          /** On the person's wheel; null for greys. */
          family: z.string().nullable(),
          keyFamily: z.string().nullable(),
          harmony: z.enum(SCHEMES).nullable(),
          /** Share of the picture, 0–1. */
          neutral: z.number(),
          /** Mean, −3 (cool) to 3 (warm). */
          temperature: z.number(),
        })
        .nullable(),
    })
    .nullable(),
});
export type StudyCard = z.infer<typeof studyCardSchema>;

export const saveStudySchema = z.object({
  basedOn: z.number().int().min(1).max(MAX_REVISION),
  document: studyDocumentSchema,
});
export const renameSchema = z.object({
  title: text().trim().min(1, 'A study needs a title.').max(200),
});
export const createStudySchema = z.object({ pictureId: z.string().uuid() });

/** What a refused save answers with: the document that is newer. */
export const newerStudySchema = z.object({
  revision: z.number().int(),
  document: studyDocumentSchema,
});
