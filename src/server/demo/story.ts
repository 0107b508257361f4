import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { LAYERED_MEDIA } from '@/core/mixing/medium-recipe';
import { areaSchema } from '@/contracts/colour';
import { librarySearchSchema } from '@/contracts/library-search';
import { swatchChangeSchema } from '@/contracts/palette';
import { studyDocumentSchema } from '@/contracts/study';

const { title, maker, source, rights, kind, aims, values, lightAndShadow, depth, hidden, use } =
  studyDocumentSchema.shape;

const pickSchema = areaSchema.extend({
  name: z.string().optional(),
  note: z.string().default(''),
  /** How it was changed by hand once it was picked. */
  moves: swatchChangeSchema.shape.moves.optional(),
});

/** A study of the story: what the illustrator has said about a picture so far. */
const storyStudySchema = z.object({
  picture: z.string(),
  about: z
    .object({
      title,
      maker,
      source,
      rights,
      kind,
      aims,
      values,
      lightAndShadow,
      depth,
      hidden,
      use,
    })
    .partial()
    .default({}),
  /** How many colours were extracted, if another number than the first. */
  count: z.number().int().min(2).max(16).optional(),
  picks: z.array(pickSchema).default([]),
  /** Whether the swatches have been given what they are for. */
  roles: z.boolean().default(false),
  /** Whether its colours have been mixed from the illustrator's tubes, and the recipes kept. */
  recipes: z.boolean().default(false),
  /** The medium that somebody of the town works in from it, and who: its recipes are kept. */
  layers: z.object({ medium: z.enum(LAYERED_MEDIA), owner: z.string() }).optional(),
  /** The swatch, by its place from dark to light, that a ladder was built from after the libraries were saved. */
  ladder: z.number().int().optional(),
  libraries: z
    .array(
      z.object({
        name: z.string(),
        note: z.string().default(''),
        tags: z.array(z.string()).default([]),
        /** Which swatches, by their place from dark to light; all where it is not said. */
        swatches: z.array(z.number().int()).optional(),
        /** The folder it is in. */
        folder: z.string().optional(),
        favourite: z.boolean().default(false),
      }),
    )
    .default([]),
});
export type StoryStudy = z.infer<typeof storyStudySchema>;

export function demoFolder(): string {
  return path.join(/*turbopackIgnore: true*/ process.cwd(), 'demo');
}

/**
 * The id of a part of the demo, the same in every store: what is of the demo is known by its id, and
 * starting the demo again finds it. A UUID of version 8 (RFC 9562) made from the name.
 */
export function demoId(
  kind:
    | 'study'
    | 'library'
    | 'folder'
    | 'search'
    | 'tube'
    | 'stick'
    | 'try'
    | 'pattern'
    | 'colourway'
    | 'session'
    | 'course'
    | 'course study'
    | 'answer',
  name: string,
): string {
  const hex = createHash('sha256').update(`bold prism demo, ${kind}: ${name}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** The demo's story, the oldest study first. */
export async function readStory(): Promise<StoryStudy[]> {
  const text = await readFile(
    path.join(/*turbopackIgnore: true*/ demoFolder(), 'story.json'),
    'utf8',
  );
  return z.array(storyStudySchema).parse(JSON.parse(text));
}

const searchesSchema = z.array(z.object({ name: z.string(), search: librarySearchSchema }));

/** The searches that the illustrator keeps. */
export async function readSearches(): Promise<z.infer<typeof searchesSchema>> {
  const text = await readFile(
    path.join(/*turbopackIgnore: true*/ demoFolder(), 'searches.json'),
    'utf8',
  );
  return searchesSchema.parse(JSON.parse(text));
}

export function readDemoPicture(name: string): Promise<Buffer> {
  return readFile(
    path.join(/*turbopackIgnore: true*/ demoFolder(), 'pictures', path.basename(name)),
  );
}
