import type { Swatch } from '@/contracts/library';
import type { StudyDocument } from '@/contracts/study';

/** The tray as the swatches of a library, each with where it came from. */
export function libraryFrom(
  document: StudyDocument,
  studyId: string,
  picture: { hash: string },
): { studyId: string; swatches: Swatch[] } {
  return {
    studyId,
    swatches: document.palette.swatches.map(({ id, name, note, role, colour, share, area }) => ({
      id,
      name,
      otherNames: [],
      note,
      role,
      colour,
      share,
      provenance: area && {
        studyId,
        studyTitle: document.title,
        pictureHash: picture.hash,
        ...area,
      },
    })),
  };
}
