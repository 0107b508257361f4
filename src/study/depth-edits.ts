import { MAX_DEPTH_MARKS, type StoredDepthMark, type StudyDocument } from '@/contracts/study';

/** Lays a mark over those before it. Throws a RangeError when there are too many. */
export function addDepthMark(document: StudyDocument, mark: StoredDepthMark): StudyDocument {
  const { marks } = document.depth;
  if (marks.length >= MAX_DEPTH_MARKS)
    throw new RangeError(
      `A study keeps ${MAX_DEPTH_MARKS} marks of its depth. Undo some, or go back to the first guess.`,
    );
  return { ...document, depth: { marks: [...marks, mark] } };
}

/** Back to the first guess. */
export function withoutDepthMarks(document: StudyDocument): StudyDocument {
  return document.depth.marks.length === 0 ? document : { ...document, depth: { marks: [] } };
}
