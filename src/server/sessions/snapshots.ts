import { and, eq } from 'drizzle-orm';
import type { Rendition } from '@/contracts/pictures';
import { database } from '../db/client';
import { sessionSnapshot } from '../db/session-schema';
import { notFound } from '../errors';
import { getBytes } from '../pictures/get-bytes';
import { keepPicture } from '../pictures/keep-picture';
import { getSession } from './sessions';

/**
 * Keeps the picture of a snapshot under the id that the session calls it by; one that is sent again is kept once. Throws
 * not-found, and a ServiceError for what can't be read.
 */
export async function keepSnapshot(
  sessionId: string,
  id: string,
  bytes: Uint8Array,
  fileName: string,
  signal?: AbortSignal,
): Promise<{ width: number; height: number }> {
  await getSession(sessionId);
  const { id: pictureId, width, height } = await keepPicture(bytes, fileName, signal);
  const db = await database();
  await db.insert(sessionSnapshot).values({ sessionId, id, pictureId }).onConflictDoNothing();
  return { width, height };
}

/** The bytes of a snapshot and their media type. Throws not-found. */
export async function snapshotBytes(sessionId: string, id: string, rendition: Rendition) {
  const db = await database();
  const [row] = await db
    .select({ pictureId: sessionSnapshot.pictureId })
    .from(sessionSnapshot)
    .where(and(eq(sessionSnapshot.sessionId, sessionId), eq(sessionSnapshot.id, id)));
  if (!row) throw notFound('snapshot');
  return getBytes(row.pictureId, rendition);
}
