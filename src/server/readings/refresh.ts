import { eq, isNull } from 'drizzle-orm';
import { WHEEL_IDS } from '@/core/colour/wheel';
import { CORE_VERSION } from '@/core/index';
import { runReading } from '@/workers/server/pool';
import { readStudyDocument } from '@/contracts/study';
import { database } from '../db/client';
import { pictureBytes, reading, study, wheelReading } from '../db/schema';
import { decodeWorking } from '../pictures/read-picture';
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
    })
    .from(study)
    .leftJoin(reading, eq(reading.studyId, study.id))
    .where(eq(study.id, studyId));
  if (!found) return;
  const document = readStudyDocument(found.document);
  const of = readingKey(document);
  if (found.of === of && found.core === CORE_VERSION && found.neutral !== null) return;

  const [bytes] = await db
    .select({ working: pictureBytes.working })
    .from(pictureBytes)
    .where(eq(pictureBytes.pictureId, found.pictureId));
  const { values, colours } = await runReading({
    picture: await decodeWorking(bytes.working),
    development: { framing: document.framing, cast: document.neutral?.cast ?? null },
    values: document.values,
    palette: null,
    colours: { corrections: document.lightAndShadow.corrections },
  });
  if (!colours) throw new Error('a worker was asked for colours and read none');
  const row = { ...valueColumns(document, values), ...colourColumns(colours) };
  const wheels = WHEEL_IDS.map((id) => ({ studyId, ...wheelColumns(id, colours.wheels[id]) }));
  await db.transaction(async (tx) => {
    await tx
      .insert(reading)
      .values({ studyId, ...row })
      .onConflictDoUpdate({ target: reading.studyId, set: row });
    await tx.delete(wheelReading).where(eq(wheelReading.studyId, studyId));
    await tx.insert(wheelReading).values(wheels);
  });
}
