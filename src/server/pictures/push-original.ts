import { eq } from 'drizzle-orm';
import type { PushRequest, PUSH_STEPS } from '@/contracts/push-request';
import { runPush } from '@/workers/server/pool';
import { database } from '../db/client';
import { pictureBytes, study } from '../db/schema';
import { notFound } from '../errors';
import { semaphore } from '../semaphore';
import { decodeOriginal, decodeWorking, encodePng } from './read-picture';

type OnStep = (step: (typeof PUSH_STEPS)[number], share: number) => void;

/**
 * A study's picture at the size it came in, framed, corrected and pushed, as PNG in sRGB. Throws
 * not-found for a study that is not here; stops when `signal` says so.
 */
export function pushOriginal(...given: Parameters<typeof pushNow>): ReturnType<typeof pushNow> {
  return oneAtATime(() => pushNow(...given), given[3]);
}

/** A picture of 80 megapixels takes some gigabyte while it is pushed. */
const oneAtATime = semaphore(1);

async function pushNow(
  studyId: string,
  { settings, framing, neutral }: PushRequest,
  onStep: OnStep,
  signal?: AbortSignal,
): Promise<{ png: Uint8Array; width: number; height: number }> {
  onStep('reading', 0);
  const db = await database();
  const [row] = await db
    .select({ original: pictureBytes.original, working: pictureBytes.working })
    .from(study)
    .innerJoin(pictureBytes, eq(pictureBytes.pictureId, study.pictureId))
    .where(eq(study.id, studyId));
  if (!row) throw notFound('study');
  const [original, working] = await Promise.all([
    decodeOriginal(row.original),
    decodeWorking(row.working),
  ]);
  signal?.throwIfAborted();
  onStep('pushing', 0);
  const picture = await runPush(
    { original, working, settings, development: { framing, cast: neutral?.cast ?? null } },
    (share) => onStep('pushing', share),
    signal,
  );
  signal?.throwIfAborted();
  onStep('writing', 0);
  return { png: await encodePng(picture), width: picture.width, height: picture.height };
}
