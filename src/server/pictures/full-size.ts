import { eq } from 'drizzle-orm';
import type { Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import type { PictureStep } from '@/contracts/picture-events';
import type { StudyDocument } from '@/contracts/study';
import { database } from '../db/client';
import { pictureBytes, study } from '../db/schema';
import { notFound } from '../errors';
import { semaphore } from '../semaphore';
import { decodeOriginal, decodeWorking, encodePng } from './read-picture';

export type OnStep = (step: PictureStep, share: number) => void;

/** A study's picture as it came and as the Desk works on it, and how both are developed. */
export interface FullSize {
  original: Picture;
  working: Picture;
  development: Development;
}

/** A picture of 80 megapixels takes some gigabyte while it is made. */
const oneAtATime = semaphore(1);

/**
 * What a worker makes of a study's picture at the size it came in, as PNG in sRGB. Throws not-found for a study that is
 * not here; stops when `signal` says so.
 */
export function madeAtFullSize(
  studyId: string,
  { framing, neutral }: Pick<StudyDocument, 'framing' | 'neutral'>,
  make: (full: FullSize) => Promise<Picture>,
  onStep: OnStep,
  signal?: AbortSignal,
): Promise<{ png: Uint8Array; width: number; height: number }> {
  return oneAtATime(async () => {
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
    onStep('making', 0);
    const development = { framing, cast: neutral?.cast ?? null };
    const picture = await make({ original, working, development });
    signal?.throwIfAborted();
    onStep('writing', 0);
    return { png: await encodePng(picture), width: picture.width, height: picture.height };
  }, signal);
}
