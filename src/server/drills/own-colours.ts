import { desc, isNull } from 'drizzle-orm';
import type { Oklab } from '@/core/colour/oklab';
import { readStudyDocument } from '@/contracts/study';
import { database } from '../db/client';
import { study } from '../db/schema';
import { found } from '../found';
import { getStudy } from '../studies/studies';

/** So many of the studies that were worked on last lend their colours. */
const MAX_STUDIES = 24;

/** What questions are made of: the palette of a study, with its title, or those of all that were worked on last. */
export async function ownColours(
  studyId: string,
): Promise<{ title: string | null; colours: Oklab[] }> {
  const one = studyId === '' ? null : await found(getStudy, studyId);
  if (one) return { title: one.document.title, colours: coloursOf(one.document) };
  const db = await database();
  const rows = await db
    .select({ document: study.document })
    .from(study)
    .where(isNull(study.deletedAt))
    .orderBy(desc(study.updatedAt))
    .limit(MAX_STUDIES);
  return {
    title: null,
    colours: rows.flatMap(({ document }) => coloursOf(readStudyDocument(document))),
  };
}

const coloursOf = ({ palette }: ReturnType<typeof readStudyDocument>): Oklab[] =>
  palette.swatches.map(({ colour }) => colour);
