import { MAX_CORRECTIONS, type StoredCorrection, type StudyDocument } from '@/contracts/study';

function withCorrections(document: StudyDocument, corrections: StoredCorrection[]): StudyDocument {
  return { ...document, lightAndShadow: { ...document.lightAndShadow, corrections } };
}

/** Lays a correction over those before it. Throws a RangeError when there are too many. */
export function addCorrection(
  document: StudyDocument,
  correction: StoredCorrection,
): StudyDocument {
  const { corrections } = document.lightAndShadow;
  if (corrections.length >= MAX_CORRECTIONS)
    throw new RangeError(
      `A study keeps ${MAX_CORRECTIONS} corrections of its light. Undo some, or begin them anew.`,
    );
  return withCorrections(document, [...corrections, correction]);
}

/** Back to the split as measured. */
export function withoutCorrections(document: StudyDocument): StudyDocument {
  return document.lightAndShadow.corrections.length === 0
    ? document
    : withCorrections(document, []);
}
