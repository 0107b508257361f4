import { isDeepStrictEqual } from 'node:util';
import { readStudyDocument, type StudyDocument } from '@/contracts/study';
import { STUDY_PARTS, type StudyPart, type StudyRevision } from '@/contracts/study-history';
import { studyRevision } from '../db/schema';
import { revisionsIn } from '../documents/revisions';

export const studyRevisions = revisionsIn<StudyDocument>(studyRevision, 'study', {
  write: (document) => document,
  read: readStudyDocument,
});

/** What a study was, the newest first, without the documents themselves. */
export async function listStudyHistory(studyId: string): Promise<StudyRevision[]> {
  const states = await studyRevisions.list(studyId);
  return states.map(({ revision, savedAt, document }, i) => {
    const before = states[i + 1]?.document ?? null;
    return {
      revision,
      savedAt: savedAt.toISOString(),
      title: document.title,
      swatches: document.palette.swatches.length,
      changed: before ? STUDY_PARTS.filter((part) => isChanged(part, before, document)) : [],
    };
  });
}

/** What of a document belongs to each part. */
const OF: Record<StudyPart, (document: StudyDocument) => unknown> = {
  title: ({ title }) => title,
  about: ({ maker, source, rights, kind }) => [maker, source, rights, kind],
  aims: ({ aims }) => aims,
  framing: ({ framing }) => framing,
  neutral: ({ neutral }) => neutral,
  values: ({ values }) => values,
  light: ({ lightAndShadow }) => lightAndShadow,
  depth: ({ depth }) => depth,
  hidden: ({ hidden }) => hidden,
  use: ({ use }) => use,
  medium: ({ medium }) => medium,
  // Shares follow from picture and palette: nobody changed them.
  palette: ({ palette }) => ({
    ...palette,
    swatches: palette.swatches.map((swatch) => ({
      ...swatch,
      share: null,
      recipe: null,
      mediumRecipes: [],
    })),
  }),
  recipes: ({ palette }) =>
    palette.swatches.flatMap(({ id, recipe, mediumRecipes }) =>
      recipe || mediumRecipes.length > 0 ? [{ id, recipe, mediumRecipes }] : [],
    ),
};

function isChanged(part: StudyPart, before: StudyDocument, after: StudyDocument): boolean {
  return !isDeepStrictEqual(OF[part](before), OF[part](after));
}
