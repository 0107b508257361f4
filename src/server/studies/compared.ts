import { and, eq, isNull } from 'drizzle-orm';
import type { WheelId } from '@/core/colour/wheel';
import type { ComparedStudy } from '@/contracts/compare';
import { readStudyDocument } from '@/contracts/study';
import { database } from '../db/client';
import { reading, study, wheelReading } from '../db/schema';
import { notFound } from '../errors';
import { refreshReading } from '../readings/refresh';

/** A study with its readings, which are made first where they are not up to date. Throws not-found. */
export async function getCompared(id: string, wheel: WheelId): Promise<ComparedStudy> {
  await refreshReading(id);
  const db = await database();
  const [row] = await db
    .select({
      document: study.document,
      pictureId: study.pictureId,
      values: reading.values,
      colours: reading.colours,
      onWheel: wheelReading.study,
    })
    .from(study)
    .innerJoin(reading, eq(reading.studyId, study.id))
    .innerJoin(wheelReading, and(eq(wheelReading.studyId, study.id), eq(wheelReading.wheel, wheel)))
    .where(and(eq(study.id, id), isNull(study.deletedAt)));
  if (!row?.colours) throw notFound('study');
  const { pictureId, values, colours, onWheel } = row;
  const document = readStudyDocument(row.document);
  return {
    id,
    title: document.title,
    maker: document.maker,
    pictureId,
    swatches: document.palette.swatches,
    values,
    colours: { ...colours, ...onWheel },
  };
}
