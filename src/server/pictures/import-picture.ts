import { cutText } from '@/core/text';
import { randomUUID } from 'node:crypto';
import { and, eq, isNull } from 'drizzle-orm';
import type { Extraction } from '@/core/palette/extract';
import type { Stage } from '@/contracts/picture-import';
import { newDocument, type StudyDocument } from '@/contracts/study';
import { applyExtraction, HOME_RADIUS } from '@/study/edits';
import { runReading } from '@/workers/server/pool';
import { database } from '../db/client';
import { picture, reading, study } from '../db/schema';
import { valueColumns } from '../readings/columns';
import { hashOf, insertPicture, twoAtATime } from './keep-picture';
import type { Writer } from '../documents/revisions';
import { studyRevisions } from '../studies/study-history';
import { encodeThumbnail, encodeWorking, makeWorkingCopy } from './read-picture';

export type ImportedPicture =
  | { kind: 'new'; studyId: string }
  | { kind: 'known'; pictureId: string; studies: { id: string; title: string }[] };

interface BringingIn {
  onStage?: (stage: Stage) => void;
  signal?: AbortSignal;
  /** The id that a new study is to have. */
  studyId?: string;
  /** What is already known of a new study, its palette apart. */
  document?: StudyDocument;
}

export const WHOLE_PICTURE = { framing: { angle: 0, crop: null }, cast: null };

/**
 * Takes a picture in and begins a study of it with a first palette and value reading. A picture
 * already here (by content) is not stored again: its studies come back for the person to choose.
 * Nothing is stored when it is refused or `signal` stops it.
 */
export async function importPicture(
  bytes: Uint8Array,
  fileName: string,
  {
    onStage = () => undefined,
    signal,
    studyId = randomUUID(),
    document: first = newDocument(titleOf(fileName)),
  }: BringingIn = {},
): Promise<ImportedPicture> {
  onStage('looking');
  const db = await database();
  const hash = hashOf(bytes);
  const known = await findKnown(hash);
  if (known) return known;

  onStage('working copy');
  const { working, type, width, height } = await twoAtATime(() => makeWorkingCopy(bytes), signal);
  signal?.throwIfAborted();
  onStage('palette');
  const [result, workingBytes, thumbnail] = await Promise.all([
    runReading(
      {
        picture: working,
        development: WHOLE_PICTURE,
        values: first.values,
        palette: { count: first.palette.count },
        colours: null,
      },
      signal,
    ),
    encodeWorking(working),
    encodeThumbnail(working),
  ]);
  const document = result.palette ? withPalette(first, result.palette) : first;
  signal?.throwIfAborted();

  onStage('keeping');
  const stored = await db.transaction(async (tx) => {
    const pictureId = await insertPicture(tx, {
      hash,
      bytes,
      fileName,
      copy: { working, type, width, height },
      workingBytes,
      thumbnail,
    });
    if (!pictureId) return false;
    await insertStudy(tx, studyId, pictureId, document);
    await tx.insert(reading).values({ studyId, ...valueColumns(document, result.values) });
    return true;
  });
  if (stored) return { kind: 'new', studyId };
  // The same file, sent twice at once: the other one was first. Asked for only after the
  // transaction, since an embedded database has one connection and would wait for itself.
  const other = await findKnown(hash);
  if (!other) throw new Error('a picture that was just stored is not found');
  return other;
}

/** Stores a first revision of a study. */
export async function insertStudy(
  tx: Writer,
  id: string,
  pictureId: string,
  document: StudyDocument,
): Promise<void> {
  await tx.insert(study).values({ id, pictureId, title: document.title, document, revision: 1 });
  await studyRevisions.keep(tx, id, 1, document);
}

async function findKnown(hash: string): Promise<ImportedPicture | null> {
  const db = await database();
  const [found] = await db.select({ id: picture.id }).from(picture).where(eq(picture.hash, hash));
  if (!found) return null;
  const studies = await db
    .select({ id: study.id, title: study.title })
    .from(study)
    .where(and(eq(study.pictureId, found.id), isNull(study.deletedAt)));
  return { kind: 'known', pictureId: found.id, studies };
}

/** "rainy_street-2.jpg" as "rainy street 2". */
export function titleOf(fileName: string): string {
  const bare = fileName
    .replace(/\.[a-z0-9]{2,5}$/i, '')
    .replace(/[_-]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return cutText(bare, 200) || 'Untitled picture';
}

/** A whole picture's extraction as its first palette. */
export function withPalette(document: StudyDocument, { swatches }: Extraction): StudyDocument {
  const areas = swatches.map(({ point }) => point && { ...point, radius: HOME_RADIUS });
  return applyExtraction(document, document.palette.count, swatches, areas, randomUUID);
}
