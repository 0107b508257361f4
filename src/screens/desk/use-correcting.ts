'use client';

import { addCorrection } from '@/study/light-edits';
import { showFault } from '@/ui/notices';
import { useDesk, useDeskStore, type Point } from './desk-store';
import { fewEnough, kept } from './drawn-points';
import { usePicture } from './picture-room';

/** Gives what a hand drew to the light or to the shadow, as one step to undo; null while no tool for it is up. */
export function useCorrecting(): ((points: Point[]) => void) | null {
  const store = useDeskStore();
  const room = usePicture();
  const tool = useDesk((state) => state.tool);
  const asksLight = useDesk(({ view }) => view.step === 'values' && view.topic === 'light');
  if (!asksLight || (tool !== 'brush' && tool !== 'lasso')) return null;
  return (points) => {
    if (tool === 'lasso' && points.length < 3) return;
    const { brush, change } = store.getState();
    const drawn = fewEnough(points).map((point) => room.originalArea(point, brush.radius, true));
    try {
      change((document) =>
        addCorrection(document, {
          id: crypto.randomUUID(),
          side: brush.side,
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
