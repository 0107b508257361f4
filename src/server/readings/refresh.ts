import { and, eq, isNull, ne, or } from 'drizzle-orm';
import { CORE_VERSION } from '@/core/index';
import { runReading } from '@/workers/server/pool';
import { studyDocumentSchema } from '@/contracts/study';
import { database } from '../db/client';
import { pictureBytes, reading, study } from '../db/schema';
import { decodeWorking } from '../pictures/read-picture';
import { queueByName } from './queue';
import { readingKey } from './reading-key';

const queued = queueByName();

/** Makes the stored reading of a study anew if its document, or the core, has moved on since. */
export function refreshReading(studyId: string): Promise<void> {
  return queued(studyId, () => refreshNow(studyId));
}

/** Makes every stored reading anew that an older core has made. One after another, for nobody waits for it. */
export async function refreshStale(): Promise<void> {
  const db = await database();
  const stale = await db
    .select({ id: study.id })
    .from(study)
    .leftJoin(reading, eq(reading.studyId, study.id))
    .where(and(isNull(study.deletedAt), or(isNull(reading.core), ne(reading.core, CORE_VERSION))));
  for (const { id } of stale) await refreshReading(id);
}

async function refreshNow(studyId: string): Promise<void> {
  const db = await database();
  const [found] = await db
    .select({
      document: study.document,
      pictureId: study.pictureId,
      of: reading.of,
      core: reading.core,
    })
    .from(study)
    .leftJoin(reading, eq(reading.studyId, study.id))
    .where(eq(study.id, studyId));
  if (!found) return;
  const document = studyDocumentSchema.parse(found.document);
  const of = readingKey(document);
  if (found.of === of && found.core === CORE_VERSION) return;

  const [bytes] = await db
    .select({ working: pictureBytes.working })
    .from(pictureBytes)
    .where(eq(pictureBytes.pictureId, found.pictureId));
  const { values } = await runReading({
    picture: await decodeWorking(bytes.working),
    development: { framing: document.framing, cast: document.neutral?.cast ?? null },
    values: document.values,
    palette: null,
  });
  const row = {
    core: CORE_VERSION,
    of,
    key: values.key,
    range: values.range,
    median: values.median,
    values,
  };
  await db
    .insert(reading)
    .values({ studyId, ...row })
    .onConflictDoUpdate({ target: reading.studyId, set: row });
}
