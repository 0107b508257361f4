import { z } from 'zod';
import { INTENSITY_WORDS } from '@/core/colour/intensity';
import { TEMPERATURE_WORDS } from '@/core/colour/temperature';
import { oklabSchema } from './colour';
import { libraryCardSchema } from './library';
import { text } from './text';

/** The greatest CIEDE2000 distance that can be asked for: beyond it "near" means nothing. */
export const MAX_NEAR = 15;
export const DEFAULT_NEAR = 5;
/** Of neutrals, in place of a family's place on the wheel. */
export const GREY = -1;
/** Libraries that lie in no folder. */
export const LOOSE = 'loose';

export const LIBRARY_SORTS = ['changed', 'own', 'name', 'swatches', 'nearest'] as const;
export type LibrarySort = (typeof LIBRARY_SORTS)[number];

/** A search over all libraries and swatches; one swatch has to match all of its criteria. */
export const librarySearchSchema = z.object({
  text: text().max(200).default(''),
  near: z
    .object({ colour: oklabSchema, within: z.number().min(0.5).max(MAX_NEAR) })
    .nullable()
    .default(null),
  /** Places on the person's wheel; `GREY` for neutrals. An empty list does not filter. */
  families: z.array(z.number().int().min(GREY).max(11)).max(13).default([]),
  /** Munsell values, both ends within. */
  values: z
    .tuple([z.number().min(0).max(10), z.number().min(0).max(10)])
    .nullable()
    .default(null),
  /** The first and the last of the intensity words that are within. */
  intensities: z
    .tuple([z.enum(INTENSITY_WORDS), z.enum(INTENSITY_WORDS)])
    .nullable()
    .default(null),
  temperature: z.enum(TEMPERATURE_WORDS).nullable().default(null),
  tags: z.array(text().max(60)).max(20).default([]),
  maker: text().max(200).nullable().default(null),
  folder: z
    .union([z.uuid(), z.literal(LOOSE)])
    .nullable()
    .default(null),
  favourites: z.boolean().default(false),
  sort: z.enum(LIBRARY_SORTS).default('changed'),
});
export type LibrarySearch = z.infer<typeof librarySearchSchema>;
export const ALL_LIBRARIES: LibrarySearch = librarySearchSchema.parse({});

/** The most libraries that one answer brings. */
export const MAX_PAGE = 60;
export const searchRequestSchema = z.object({
  search: librarySearchSchema,
  offset: z.number().int().min(0).max(1_000_000),
  limit: z.number().int().min(1).max(MAX_PAGE),
});

const countsSchema = z.array(z.object({ of: z.string(), count: z.number().int() }));

/** How many would be found for each value of each criterion, with the other criteria as they are. */
/** How many there are in all. */
export const libraryCountsSchema = z.object({
  libraries: z.number().int(),
  swatches: z.number().int(),
  binned: z.number().int(),
});
export type LibraryCounts = z.infer<typeof libraryCountsSchema>;

export const facetsSchema = z.object({
  /** Swatches. */
  families: z.array(z.object({ of: z.number().int(), count: z.number().int() })),
  /** Swatches, one count for each whole Munsell value from 0 to 10. */
  values: z.array(z.number().int()),
  intensities: countsSchema,
  temperatures: countsSchema,
  /** Libraries. */
  tags: countsSchema,
  makers: countsSchema,
});
export type Facets = z.infer<typeof facetsSchema>;

export const foundLibrarySchema = libraryCardSchema.extend({
  folderId: z.string().nullable(),
  favourite: z.boolean(),
  /** How many swatches it has; `swatches` may be fewer of a large one, with all hits among them. */
  size: z.number().int(),
  /** The swatches that match; none where the library itself does. */
  hits: z.array(z.string()),
});
export type FoundLibrary = z.infer<typeof foundLibrarySchema>;

export const searchAnswerSchema = z.object({
  total: z.number().int(),
  libraries: z.array(foundLibrarySchema),
});
export type SearchAnswer = z.infer<typeof searchAnswerSchema>;

export const folderSchema = z.object({ id: z.string(), name: z.string(), count: z.number().int() });
export type Folder = z.infer<typeof folderSchema>;
export const folderNameSchema = text().trim().min(1, 'A folder needs a name.').max(100);

export const savedSearchSchema = z.object({
  id: z.string(),
  name: z.string(),
  search: librarySearchSchema,
});
export type SavedSearch = z.infer<typeof savedSearchSchema>;
