import { and, eq, isNotNull, isNull } from 'drizzle-orm';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { CORE_VERSION } from '@/core/index';
import { runReading } from '@/workers/server/pool';
import {
  coloursQuery,
  openingQueries,
  type StoredAnswers,
} from '@/contracts/desk-query/opening-queries';
import { queryKey } from '@/contracts/desk-query/desk-query';
import { readStudyDocument, type Study } from '@/contracts/study';
import { database } from '../db/client';
import { deskAnswers, picture, pictureBytes, reading, study, wheelReading } from '../db/schema';
import { decodeWorking } from '../pictures/read-picture';
import { getSettings } from '../settings/settings';
import { colourColumns, valueColumns, wheelColumns } from './columns';
import { queueByName } from './queue';
import { readingKey } from './reading-key';

const queued = queueByName();

/** Makes the stored reading of a study anew if its document, or the core, has moved on since. */
export function refreshReading(studyId: string): Promise<void> {
  return queued(studyId, () => refreshNow(studyId));
}

/** When no reading is being made any more. */
export const readingsAreMade = (): Promise<void> => queued.idle();

/**
 * Brings every stored reading up to date: of an older core, with colours that were never read, or of a
 * document that was saved just before the server ended. One after another, for nobody waits for it.
 */
export async function refreshStale(): Promise<void> {
  const db = await database();
  const studies = await db.select({ id: study.id }).from(study).where(isNull(study.deletedAt));
  for (const { id } of studies) await refreshReading(id);
}

async function refreshNow(studyId: string): Promise<void> {
  const db = await database();
  const [found] = await db
    .select({
      document: study.document,
      pictureId: study.pictureId,
      of: reading.of,
      core: reading.core,
      neutral: reading.neutral,
      isAnswered: isNotNull(deskAnswers.studyId),
      quality: picture.quality,
    })
    .from(study)
    .innerJoin(picture, eq(picture.id, study.pictureId))
    .leftJoin(reading, eq(reading.studyId, study.id))
    .leftJoin(deskAnswers, eq(deskAnswers.studyId, study.id))
    .where(eq(study.id, studyId));
  if (!found) return;
  const document = readStudyDocument(found.document);
  const of = readingKey(document);
  const isRead = found.of === of && found.core === CORE_VERSION && found.neutral !== null;
  if (isRead && found.isAnswered) return;

  const [bytes] = await db
    .select({ working: pictureBytes.working })
    .from(pictureBytes)
    .where(eq(pictureBytes.pictureId, found.pictureId));
  const settings = await getSettings();
  const { values, colours, answers } = await runReading({
    picture: await decodeWorking(bytes.working),
    development: { framing: document.framing, cast: document.neutral?.cast ?? null },
    values: document.values,
    palette: null,
    colours: isRead ? null : { corrections: document.lightAndShadow.corrections },
    desk: { queries: openingQueries(document, settings), quality: found.quality },
  });
  await db.transaction(async (tx) => {
    if (colours) {
      const row = { ...valueColumns(document, values), ...colourColumns(colours) };
      await tx
        .insert(reading)
        .values({ studyId, ...row })
        .onConflictDoUpdate({ target: reading.studyId, set: row });
      await tx.delete(wheelReading).where(eq(wheelReading.studyId, studyId));
      await tx
        .insert(wheelReading)
        .values(WHEEL_IDS.map((id) => ({ studyId, ...wheelColumns(id, colours.wheels[id]) })));
    }
    await tx
      .insert(deskAnswers)
      .values({ studyId, answers })
      .onConflictDoUpdate({ target: deskAnswers.studyId, set: { answers } });
  });
}

/** What is stored of a study as it stands, for its Desk to show at once; null where it is still to be read. */
export async function storedAnswers({ id, document }: Study): Promise<StoredAnswers | null> {
  const db = await database();
  const { wheel } = await getSettings();
  const [row] = await db
    .select({ answers: deskAnswers.answers, colours: reading.colours, study: wheelReading.study })
    .from(reading)
    .innerJoin(deskAnswers, eq(deskAnswers.studyId, reading.studyId))
    .innerJoin(
      wheelReading,
      and(eq(wheelReading.studyId, reading.studyId), eq(wheelReading.wheel, wheel)),
    )
    .where(
      and(
        eq(reading.studyId, id),
        eq(reading.of, readingKey(document)),
        eq(reading.core, CORE_VERSION),
      ),
    );
  if (!row) return null;
  const colours = { ...row.colours, ...row.study };
  return { ...row.answers, [queryKey(coloursQuery(document, wheel))]: colours };
}
