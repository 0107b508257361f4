import { createHash } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { cutText } from '@/core/text';
import { database } from '../db/client';
import { picture, pictureBytes } from '../db/schema';
import type { Writer } from '../documents/revisions';
import { semaphore } from '../semaphore';
import { jpegQuality } from './jpeg-quality';
import { encodeThumbnail, encodeWorking, makeWorkingCopy, type WorkingCopy } from './read-picture';

/** A large picture takes hundreds of megabytes while it is decoded. */
export const twoAtATime = semaphore(2);

export const hashOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

interface ReadPicture {
  hash: string;
  bytes: Uint8Array;
  fileName: string;
  copy: WorkingCopy;
  workingBytes: Uint8Array;
  thumbnail: Uint8Array;
}

/** Stores a picture that was read, known by its content. Answers its id; null where it is there already. */
export async function insertPicture(
  tx: Writer,
  { hash, bytes, fileName, copy, workingBytes, thumbnail }: ReadPicture,
): Promise<string | null> {
  const [row] = await tx
    .insert(picture)
    .values({
      hash,
      name: cutText(fileName, 255),
      type: copy.type,
      size: bytes.byteLength,
      width: copy.width,
      height: copy.height,
      quality: jpegQuality(bytes),
      workingWidth: copy.working.width,
      workingHeight: copy.working.height,
    })
    .onConflictDoNothing()
    .returning({ id: picture.id });
  if (!row) return null;
  await tx
    .insert(pictureBytes)
    .values({ pictureId: row.id, original: bytes, working: workingBytes, thumbnail });
  return row.id;
}

const findPicture = async (hash: string) => {
  const db = await database();
  const [found] = await db
    .select({ id: picture.id, width: picture.workingWidth, height: picture.workingHeight })
    .from(picture)
    .where(eq(picture.hash, hash));
  return found ?? null;
};

/**
 * Stores a picture that no study is of: a snapshot of one that is being painted. The size is of its working copy. Throws a
 * ServiceError for what can't be read.
 */
export async function keepPicture(
  bytes: Uint8Array,
  fileName: string,
  signal?: AbortSignal,
): Promise<{ id: string; width: number; height: number }> {
  const hash = hashOf(bytes);
  const known = await findPicture(hash);
  if (known) return known;
  const copy = await twoAtATime(() => makeWorkingCopy(bytes), signal);
  const [workingBytes, thumbnail] = await Promise.all([
    encodeWorking(copy.working),
    encodeThumbnail(copy.working),
  ]);
  signal?.throwIfAborted();
  const db = await database();
  await db.transaction((tx) =>
    insertPicture(tx, { hash, bytes, fileName, copy, workingBytes, thumbnail }),
  );
  const kept = await findPicture(hash);
  if (!kept) throw new Error('a picture that was just stored is not found');
  return kept;
}
