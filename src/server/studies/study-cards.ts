import { and, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { WheelId } from '@/core/colour/wheel';
import type { SchemeName } from '@/core/measure/harmony';
import {
  newDocument,
  readStudyDocument,
  type StudyCard,
  type StudyDocument,
} from '@/contracts/study';
import { database } from '../db/client';
import { picture, reading, study, wheelReading } from '../db/schema';
import { getSettings } from '../settings/settings';

type CardReading = NonNullable<StudyCard['reading']>;

/** The columns of a stored reading that a card shows; all null while there is none. */
interface ReadingRow {
  key: CardReading['key'] | null;
  range: CardReading['range'] | null;
  median: number | null;
  spread: number | null;
  neutral: number | null;
  temperature: number | null;
  family: string | null;
  keyFamily: string | null;
  harmony: SchemeName | null;
}

export const readingColumns = {
  key: reading.key,
  range: reading.range,
  median: reading.median,
  spread: sql<
    number | null
  >`(${reading.values}->>'p95')::float8 - (${reading.values}->>'p5')::float8`,
  neutral: reading.neutral,
  temperature: reading.temperature,
  family: wheelReading.family,
  keyFamily: wheelReading.keyFamily,
  harmony: wheelReading.harmony,
};

/** The stored reading of a study on a wheel, for a join. */
export const onWheel = (wheel: WheelId) =>
  and(eq(wheelReading.studyId, study.id), eq(wheelReading.wheel, wheel));

export function readingIn(row: ReadingRow): StudyCard['reading'] {
  const { key, range, median, spread, neutral, temperature, ...families } = row;
  if (key === null || range === null || median === null || spread === null) return null;
  const colours =
    neutral === null || temperature === null ? null : { ...families, neutral, temperature };
  return { key, range, median, spread, colours };
}

/** All studies that are not deleted, newest first; families are the person's wheel's. */
export async function listStudies(): Promise<StudyCard[]> {
  return cardsOf('all', (await getSettings()).wheel);
}

/** The cards of some studies, newest first. */
export async function cardsOf(
  ids: readonly string[] | 'all',
  wheel: WheelId,
): Promise<StudyCard[]> {
  const db = await database();
  const rows = await db
    .select({
      id: study.id,
      title: study.title,
      document: study.document,
      pictureId: study.pictureId,
      createdAt: study.createdAt,
      updatedAt: study.updatedAt,
      width: picture.width,
      height: picture.height,
      ...readingColumns,
    })
    .from(study)
    .innerJoin(picture, eq(picture.id, study.pictureId))
    .leftJoin(reading, eq(reading.studyId, study.id))
    .leftJoin(wheelReading, onWheel(wheel))
    .where(and(isNull(study.deletedAt), ids === 'all' ? undefined : inArray(study.id, [...ids])))
    .orderBy(desc(study.createdAt), desc(study.id));
  return rows.map((row): StudyCard => {
    const whole = documentIn(row.document);
    const { title, maker, source, aims, kind, palette } = whole ?? newDocument(row.title);
    return {
      id: row.id,
      isReadable: whole !== null,
      pictureId: row.pictureId,
      title,
      maker,
      source,
      aims,
      kind,
      aspect: row.width / row.height,
      createdAt: row.createdAt.toISOString(),
      updatedAt: row.updatedAt.toISOString(),
      swatches: palette.swatches.map(({ id, name, colour, share }) => ({
        id,
        name,
        colour,
        share,
      })),
      reading: readingIn(row),
    };
  });
}

/** A stored document; null where it is damaged. */
function documentIn(stored: unknown): StudyDocument | null {
  try {
    return readStudyDocument(stored);
  } catch {
    return null;
  }
}
