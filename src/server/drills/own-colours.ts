import { desc, isNull } from 'drizzle-orm';
import type { Oklab } from '@/core/colour/oklab';
import { readStudyDocument } from '@/contracts/study';
import { database } from '../db/client';
import { study } from '../db/schema';
import { found } from '../found';
import { getStudy } from '../studies/studies';

/** So many of the studies that were worked on last lend their colours, and so many of these their pictures. */
const MAX_STUDIES = 24;
const MAX_PICTURES = 3;

/** What questions are made of. */
export interface OwnColours {
  /** Of the one study that it is about; null for several. */
  title: string | null;
  colours: Oklab[];
  /** Pictures by their ids, with the titles of their studies. */
  pictures: { id: string; title: string }[];
}

/** The palette and the picture of a study, or those of all that were worked on last. */
export async function ownColours(studyId: string): Promise<OwnColours> {
  const one = studyId === '' ? null : await found(getStudy, studyId);
  if (one) {
    const { title } = one.document;
    return {
      title,
      colours: coloursOf(one.document),
      pictures: [{ id: one.picture.id, title }],
    };
  }
  const db = await database();
  const rows = await db
    .select({ document: study.document, pictureId: study.pictureId })
    .from(study)
    .where(isNull(study.deletedAt))
    .orderBy(desc(study.updatedAt))
    .limit(MAX_STUDIES);
  const documents = rows.map(({ document }) => readStudyDocument(document));
  return {
    title: null,
    colours: documents.flatMap(coloursOf),
    pictures: rows
      .slice(0, MAX_PICTURES)
      .map(({ pictureId }, i) => ({ id: pictureId, title: documents[i].title })),
  };
}

const coloursOf = ({ palette }: ReturnType<typeof readStudyDocument>): Oklab[] =>
  palette.swatches.map(({ colour }) => colour);
