'use client';

import type { StoredStroke } from '@/contracts/strokes';
import type { StudyDocument } from '@/contracts/study';
import { showError } from '@/ui/notices';
import { useDesk, useDeskStore } from './desk-store';
import { roundPlace, simplifyPath } from './drawn-points';
import { usePicture } from './picture-room';
import { newId } from '@/study/edits';
import type { Point } from './view';

/** Stores a drawn stroke in the document as one step to undo; null while no drawing tool is in use here. */
export function useStrokes(
  isUp: boolean,
  lay: (document: StudyDocument, stroke: StoredStroke) => StudyDocument,
): ((points: Point[]) => void) | null {
  const store = useDeskStore();
  const room = usePicture();
  const tool = useDesk((state) => state.tool);
  if (!isUp || (tool !== 'brush' && tool !== 'lasso')) return null;
  return (points) => {
    if (tool === 'lasso' && points.length < 3) return;
    const { brush, change } = store.getState();
    const drawn = simplifyPath(points).map((point) => room.originalArea(point, brush.radius, true));
    const stroke = { id: newId(), tool, radius: drawn[0].radius, points: drawn.map(roundPlace) };
    try {
      change((document) => lay(document, stroke));
    } catch (error) {
      showError(error);
    }
  };
}
