'use client';

import { protectPart } from '@/study/hidden-edits';
import { showFault } from '@/ui/notices';
import { useDesk, useDeskStore, type Point } from '../../desk-store';
import { fewEnough, kept } from '../../drawn-points';
import { usePicture } from '../../picture-room';
import { newId } from '../../use-palette';

/** Keeps what a hand drew from being pushed, as one step to undo; null while no tool for it is up. */
export function useProtecting(): ((points: Point[]) => void) | null {
  const store = useDeskStore();
  const room = usePicture();
  const tool = useDesk((state) => state.tool);
  const isUp = useDesk(({ view }) => view.step === 'hidden' && view.quest === 'protect');
  if (!isUp || (tool !== 'brush' && tool !== 'lasso')) return null;
  return (points) => {
    if (tool === 'lasso' && points.length < 3) return;
    const { brush, change } = store.getState();
    const drawn = fewEnough(points).map((point) => room.originalArea(point, brush.radius, true));
    try {
      change((document) =>
        protectPart(document, {
          id: newId(),
          tool,
          radius: drawn[0].radius,
          points: drawn.map(kept),
        }),
      );
    } catch (error) {
      showFault(error);
    }
  };
}
