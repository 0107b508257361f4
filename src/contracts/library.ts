import { z } from 'zod';
import { MAX_LIBRARY_SWATCHES } from '@/core/formats/library-file';
import { mediumRecipesSchema } from '@/core/mixing/medium-recipe';
import { swatchRecipeSchema } from '@/core/mixing/swatch-recipe';
import { DEFAULT_TARGET, ROLES } from '@/core/palette/proportion';
import { oklabSchema } from './colour';
import { asOne, byId } from './documents/merge-policy';
import { readDocument, type VersionedDocument } from './documents/versioned';
import { LIBRARY_VERSION, libraryUpgrades } from './documents/library-upgrades';
import { followsSchema, idSchema, setsSchema, swatchChangeSchema, targetSchema } from './palette';
import { text } from './text';

/** Loosely bounded: a place may come from a file, and be of a picture that is not here. */
export const provenanceSchema = z.object({
  studyId: text().nullable(),
  studyTitle: text().max(200),
  pictureHash: text().nullable(),
  x: z.number(),
  y: z.number(),
  radius: z.number().min(0),
});

const leafSwatchSchema = z.object({
  id: idSchema,
  name: text().trim().min(1, 'A swatch needs a name.').max(200),
  otherNames: asOne(z.array(text().trim().min(1).max(200)).max(20)),
  note: text().max(4000),
  role: z.enum(ROLES).nullable(),
  colour: asOne(oklabSchema),
  share: z.number().min(0).max(1).nullable(),
  provenance: asOne(provenanceSchema.nullable()),
  follows: asOne(followsSchema.nullable().default(null)),
  change: asOne(swatchChangeSchema.nullable().default(null)),
  recipe: asOne(swatchRecipeSchema.nullable().default(null)),
  mediumRecipes: asOne(mediumRecipesSchema.default([])),
});
export interface Swatch extends z.infer<typeof leafSwatchSchema> {
  /** What it was merged from, each as it was, with its place in the library; none for one that was not. */
  parts: { at: number; swatch: Swatch }[];
}
export const swatchPartsSchema: z.ZodType<Swatch['parts']> = z
  .array(z.object({ at: z.number().int().min(0), swatch: z.lazy(() => swatchSchema) }))
  .max(MAX_LIBRARY_SWATCHES);
export const swatchSchema: z.ZodType<
  Swatch,
  Omit<Swatch, 'follows' | 'change' | 'recipe' | 'mediumRecipes' | 'parts'>
> = leafSwatchSchema.extend({ parts: asOne(swatchPartsSchema.default([])) });

export const tagsSchema = asOne(
  z
    .array(text().trim().min(1).max(60))
    .max(100)
    .transform((tags) => [...new Set(tags)]),
);

export const libraryContentSchema = z.object({
  name: text().trim().min(1, 'A library needs a name.').max(200),
  note: text().max(4000),
  tags: tagsSchema,
  swatches: byId(
    z
      .array(swatchSchema)
      .max(MAX_LIBRARY_SWATCHES)
      .refine((swatches) => new Set(swatches.map(({ id }) => id)).size === swatches.length, {
        message: 'two swatches have the same id',
      }),
  ),
  /** Ladders and harmonies that swatches follow. */
  sets: byId(setsSchema.default([])),
  target: targetSchema.default(DEFAULT_TARGET),
});
export type LibraryContent = z.infer<typeof libraryContentSchema>;

/** A library as its history keeps it. */
const storedLibrarySchema = libraryContentSchema.extend({ version: z.literal(LIBRARY_VERSION) });
export type StoredLibrary = z.infer<typeof storedLibrarySchema>;

export const libraryDocuments: VersionedDocument<StoredLibrary> = {
  schema: storedLibrarySchema,
  upgrades: libraryUpgrades,
};

/** A stored library of whatever version. Throws a ZodError or a RangeError as `readDocument` does. */
export function readLibraryContent(stored: unknown): LibraryContent {
  const { version: _, ...content } = readDocument(libraryDocuments, stored);
  return content;
}

export function storedLibrary(content: LibraryContent): StoredLibrary {
  return { ...content, version: LIBRARY_VERSION };
}

export const librarySchema = libraryContentSchema.extend({
  id: z.string(),
  revision: z.number().int(),
  studyId: z.string().nullable(),
  createdAt: z.string(),
  updatedAt: z.string(),
});
export type Library = z.infer<typeof librarySchema>;

export const createLibrarySchema = libraryContentSchema.extend({
  studyId: z.uuid().nullable(),
  folderId: z.uuid().nullable().default(null),
  /** Libraries that it takes the place of: they go into the bin with the same stroke. */
  insteadOf: z.array(z.uuid()).max(20).default([]),
});
export type NewLibrary = z.infer<typeof createLibrarySchema>;
export const saveLibrarySchema = z.object({
  basedOn: z
    .number()
    .int()
    .min(1)
    .max(2 ** 31 - 1),
  content: libraryContentSchema,
});
export const savedLibrarySchema = z.object({ id: z.string(), revision: z.number().int() });

export const libraryCardSchema = z.object({
  id: z.string(),
  name: z.string(),
  note: z.string(),
  tags: z.array(z.string()),
  swatches: z.array(swatchSchema),
  updatedAt: z.string(),
});
export type LibraryCard = z.infer<typeof libraryCardSchema>;

/** An earlier state of a library, and what had changed since the one before it. */
export const libraryRevisionSchema = z.object({
  revision: z.number().int(),
  savedAt: z.string(),
  name: z.string(),
  renamed: z.boolean(),
  /** Another note, or other tags. */
  retold: z.boolean(),
  reordered: z.boolean(),
  size: z.number().int(),
  added: z.number().int(),
  removed: z.number().int(),
  changed: z.number().int(),
});
export type LibraryRevision = z.infer<typeof libraryRevisionSchema>;

export const binnedLibrarySchema = z.object({
  id: z.string(),
  name: z.string(),
  swatches: z.array(swatchSchema),
  deletedAt: z.string(),
  /** When it will be thrown away for good. */
  goneAt: z.string(),
});
export type BinnedLibrary = z.infer<typeof binnedLibrarySchema>;

const neighbourSchema = z.object({
  libraryId: z.string(),
  libraryName: z.string(),
  id: z.string(),
  name: z.string(),
  colour: oklabSchema,
  /** CIEDE2000. */
  distance: z.number(),
});
/** Where else a swatch is, and what lies near it in all libraries. */
export const neighboursSchema = z.object({
  same: z.array(neighbourSchema),
  near: z.array(neighbourSchema),
  studies: z.array(z.object({ id: z.string(), title: z.string() })),
});
export type Neighbours = z.infer<typeof neighboursSchema>;
