import { compare } from '../src/core/compare/compare';
import { relationWords, shiftWords } from '../src/core/compare/words';
import type { Quad } from '../src/core/raster/homography';
import { makeWorkingCopy } from '../src/server/pictures/read-picture';
import { ConvertError } from './convert';

export interface CompareCall {
  /** Four corners, x and y in turn. */
  corners?: readonly number[];
  /** A place, x and y. */
  white?: readonly number[];
  isDigital?: boolean;
}

/**
 * A study against its model, as numbers and words. Throws a ServiceError for a picture that can't be read, and a
 * ConvertError where the study isn't found in it.
 */
export async function compareReport(
  modelBytes: Uint8Array,
  studyBytes: Uint8Array,
  { corners, white, isDigital }: CompareCall,
): Promise<unknown> {
  const { working: model } = await makeWorkingCopy(modelBytes);
  const { working: study } = await makeWorkingCopy(studyBytes);
  const found = compare(model, study, {
    corners: corners && ([0, 2, 4, 6].map((i) => [corners[i], corners[i + 1]]) as unknown as Quad),
    white: white && { x: white[0], y: white[1] },
    isDigital,
  });
  if (!found)
    throw new ConvertError(
      corners
        ? 'these corners are on a line, or two of them are one'
        : 'the model was not found in the study’s picture; name its corners with --corners',
    );
  const { registration, shift, relations } = found;
  return {
    shift: shift && { ...shift, words: shiftWords(shift) },
    relations: relations.map((relation) => ({
      x: relation.x,
      y: relation.y,
      value: relation.value,
      chroma: relation.chroma,
      hue: relation.hue,
      words: relationWords(relation),
    })),
    registration: { error: registration.error, confidence: registration.confidence },
  };
}
