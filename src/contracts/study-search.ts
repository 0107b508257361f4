import { z } from 'zod';
import type { Wheel } from '@/core/colour/wheel';
import { SCHEMES } from '@/core/measure/harmony';
import { KEYS, RANGES, studyCardSchema } from './study';
import { text } from './text';

/** The criteria that studies are found by; the address holds the same names. */
export const STUDY_FACETS = ['family', 'key', 'range', 'harmony', 'keyColour', 'greys'] as const;
export type StudyFacet = (typeof STUDY_FACETS)[number];
export const STUDY_SORTS = [
  'newest',
  'title',
  'lightest',
  'widest range',
  'family',
  'most grey',
  'warmest',
] as const;
export type StudySort = (typeof STUDY_SORTS)[number];

/** What a near-neutral picture has for a family, a harmony and a key colour. */
export const NO_COLOUR = 'none';
export const GREYS = ['few', 'some', 'mostly'] as const;

/** A facet that nothing is asked of is an empty string. */
const facet = text().max(40).default('');

/** A search over all studies; a study has to match all of its criteria. */
export const studySearchSchema = z.object({
  text: text().max(200).default(''),
  family: facet,
  key: facet,
  range: facet,
  harmony: facet,
  keyColour: facet,
  greys: facet,
  sort: z.enum(STUDY_SORTS).default('newest'),
});
export type StudySearch = z.infer<typeof studySearchSchema>;
export const ALL_STUDIES: StudySearch = studySearchSchema.parse({});

/** So many studies hang at once; of more the rest come as they are scrolled to. */
export const STUDIES_PAGE = 60;
export const studyPageSchema = studySearchSchema.extend({
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
  limit: z.coerce.number().int().min(1).max(STUDIES_PAGE).default(STUDIES_PAGE),
});

const countsSchema = z.array(z.object({ of: z.string(), count: z.number().int() }));

export const foundStudiesSchema = z.object({
  total: z.number().int(),
  studies: z.array(studyCardSchema),
  /** Of all that are found, with the first page alone. */
  overview: z
    .object({
      /** How many studies there are, found or not. */
      all: z.number().int(),
      /** Width / height of each picture found, in order: what a layout needs before the studies are there. */
      aspects: z.array(z.number()),
      /** How many would be found for each value of a facet, with the other criteria as they are. */
      counts: z.record(z.enum(STUDY_FACETS), countsSchema),
    })
    .nullable(),
});
export type FoundStudies = z.infer<typeof foundStudiesSchema>;

/** All values of a facet, in its own order. */
export function valuesOf(facet: StudyFacet, wheel: Wheel): readonly string[] {
  switch (facet) {
    case 'key':
      return KEYS;
    case 'range':
      return RANGES;
    case 'greys':
      return GREYS;
    case 'harmony':
      return [...SCHEMES, NO_COLOUR];
    default:
      return [...wheel.families, NO_COLOUR];
  }
}

/** Whether it filters by anything but the order. */
export function isFiltering(search: StudySearch): boolean {
  return search.text.trim() !== '' || STUDY_FACETS.some((facet) => search[facet] !== '');
}
