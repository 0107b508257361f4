import { desc, eq, isNull, sql } from 'drizzle-orm';
import { wheelOf, type WheelId } from '@/core/colour/wheel';
import { STUDY_FACETS, type FoundStudies, type StudySearch } from '@/contracts/study-search';
import { database } from '../db/client';
import { picture, reading, study, wheelReading } from '../db/schema';
import { countValues, filterStudies, type StudyFacts } from './filter-studies';
import { cardsOf, onWheel, readingColumns, readingIn } from './study-cards';

interface FoundStudy extends StudyFacts {
  id: string;
  aspect: number;
}

/** Decimals of an aspect that a layout needs. */
const ASPECT_UNITS = 1000;

/** The studies that match, in their order, from `offset` on; families are those of a wheel. */
export async function searchStudies(
  search: StudySearch,
  wheelId: WheelId,
  offset: number,
  limit: number,
): Promise<FoundStudies> {
  const wheel = wheelOf(wheelId);
  const all = await factsOf(wheelId, search.text.trim() !== '');
  const found = filterStudies(all, search, wheel);
  const ids = found.slice(offset, offset + limit).map(({ id }) => id);
  const cards = new Map((await cardsOf(ids, wheelId)).map((card) => [card.id, card]));
  return {
    total: found.length,
    // One that was deleted meanwhile is missing.
    studies: ids.flatMap((id) => cards.get(id) ?? []),
    overview:
      offset > 0
        ? null
        : {
            all: all.length,
            aspects: found.map(({ aspect }) => Math.round(aspect * ASPECT_UNITS) / ASPECT_UNITS),
            counts: Object.fromEntries(
              STUDY_FACETS.map((facet) => [facet, countValues(all, search, facet, wheel)]),
            ) as NonNullable<FoundStudies['overview']>['counts'],
          },
  };
}

/** What all studies are found by, newest first. Documents are read only for what is said in them. */
async function factsOf(wheel: WheelId, isSaid: boolean): Promise<FoundStudy[]> {
  const db = await database();
  const said = isSaid
    ? sql<unknown[]>`jsonb_path_query_array(
        jsonb_build_array(${study.document}->'maker', ${study.document}->'source', ${study.document}->'aims')
          || jsonb_path_query_array(${study.document}, '$.palette.swatches[*].name'), '$[*][*]')`
    : sql<unknown[]>`'[]'::jsonb`;
  const rows = await db
    .select({
      id: study.id,
      title: study.title,
      said,
      aspect: sql<number>`${picture.width}::float8 / ${picture.height}`,
      ...readingColumns,
    })
    .from(study)
    .innerJoin(picture, eq(picture.id, study.pictureId))
    .leftJoin(reading, eq(reading.studyId, study.id))
    .leftJoin(wheelReading, onWheel(wheel))
    .where(isNull(study.deletedAt))
    .orderBy(desc(study.createdAt), desc(study.id));
  return rows.map(({ id, title, said, aspect, ...read }) => ({
    id,
    title,
    said: said.filter((text) => typeof text === 'string'),
    aspect,
    reading: readingIn(read),
  }));
}
