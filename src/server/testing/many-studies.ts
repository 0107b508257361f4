import { randomUUID } from 'node:crypto';
import { newDocument, type StudyDocument } from '@/contracts/study';
import { importPicture } from '../pictures/import-picture';
import { database } from '../db/client';
import { study } from '../db/schema';
import { getStudy } from '../studies/studies';
import { redAndBlue } from './test-pictures';

const AT_ONCE = 200;

/** Fills the database with so many studies of one picture, each with a palette. */
export async function fillStudies(count: number): Promise<void> {
  const db = await database();
  const imported = await importPicture(await redAndBlue(90, 60).png().toBuffer(), 'Study 0.png');
  if (imported.kind !== 'new') throw new Error('the picture is here already');
  const { document, picture } = await getStudy(imported.studyId);
  const titled = (n: number): StudyDocument => ({
    ...newDocument(`Study ${n}`),
    palette: document.palette,
  });
  for (let from = 1; from < count; from += AT_ONCE)
    await db.insert(study).values(
      Array.from({ length: Math.min(AT_ONCE, count - from) }, (_, i) => ({
        id: randomUUID(),
        pictureId: picture.id,
        title: `Study ${from + i}`,
        document: titled(from + i),
        revision: 1,
      })),
    );
}
