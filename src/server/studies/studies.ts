import { randomUUID } from 'node:crypto';
import { and, eq, isNull, sql } from 'drizzle-orm';
import type { z } from 'zod';
import {
  newDocument,
  readStudyDocument,
  type newerStudySchema,
  type Study,
  type StudyDocument,
} from '@/contracts/study';
import { database } from '../db/client';
import { picture, study } from '../db/schema';
import { documentService, type SavedDocument } from '../documents/document-service';
import { notFound } from '../errors';
import { reindexLibrariesOf } from '../libraries/library-rows';
import { insertStudy, titleOf } from '../pictures/import-picture';
import { refreshReading } from '../readings/refresh';
import { studyRevisions } from './study-history';

/** A study with the facts of its picture. Throws not-found, for a deleted one too. */
export async function getStudy(id: string): Promise<Study> {
  const db = await database();
  const [row] = await db
    .select({ study, picture })
    .from(study)
    .innerJoin(picture, eq(picture.id, study.pictureId))
    .where(and(eq(study.id, id), isNull(study.deletedAt)));
  if (!row) throw notFound('study');
  const { createdAt: _, ...facts } = row.picture;
  return {
    id: row.study.id,
    revision: row.study.revision,
    document: readStudyDocument(row.study.document),
    picture: facts,
    createdAt: row.study.createdAt.toISOString(),
    updatedAt: row.study.updatedAt.toISOString(),
  };
}

/** A new study of a picture that is already here. */
export async function createStudy(pictureId: string, id: string = randomUUID()): Promise<string> {
  const db = await database();
  const [found] = await db
    .select({ name: picture.name })
    .from(picture)
    .where(eq(picture.id, pictureId));
  if (!found) throw notFound('picture');
  await db.transaction((tx) => insertStudy(tx, id, pictureId, newDocument(titleOf(found.name))));
  await refreshReading(id);
  return id;
}

const documents = documentService<StudyDocument>({
  what: 'study',
  table: study,
  revisions: studyRevisions,
  async write(tx, id, basedOn, document) {
    const [row] = await tx
      .update(study)
      .set({
        document,
        title: document.title,
        revision: sql`${study.revision} + 1`,
        updatedAt: sql`clock_timestamp()`,
      })
      .where(and(eq(study.id, id), eq(study.revision, basedOn), isNull(study.deletedAt)))
      .returning({ revision: study.revision, updatedAt: study.updatedAt });
    if (row) await reindexLibrariesOf(tx, id);
    return row ?? null;
  },
  async newest(id): Promise<z.infer<typeof newerStudySchema>> {
    const { revision, document } = await getStudy(id);
    return { revision, document };
  },
});

/** Saves a study as `DocumentService.save` does, and what follows from it. */
export async function saveStudy(
  id: string,
  basedOn: number,
  document: StudyDocument,
): Promise<SavedDocument> {
  const saved = await documents.save(id, basedOn, document);
  // The reading follows from the document; a save need not wait for it.
  void refreshReading(id).catch((error) => console.error(error));
  return saved;
}

/** Renames from the Wall: a change of the document like any other, on whatever revision stands. */
export async function renameStudy(id: string, title: string): Promise<void> {
  const { revision, document } = await getStudy(id);
  await saveStudy(id, revision, { ...document, title });
}

/** Takes a study off the Wall, and puts it back. */
export const deleteStudy = documents.remove;
export const restoreStudy = documents.restore;
