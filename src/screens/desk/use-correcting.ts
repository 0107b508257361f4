'use client';

import simplify from 'simplify-js';
import { MOST_POINTS } from '@/contracts/study';
import { addCorrection } from '@/study/light-edits';
import { showFault } from '@/ui/notices';
import { useDesk, useDeskStore, type Point } from './desk-store';
import { usePicture } from './picture-room';

/** How far a kept line may lie from the drawn one, in fractions of the picture. */
const LOOSE = 0.0012;

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
    const rounded = (n: number) => Math.round(n * 10_000) / 10_000;
    try {
      change((document) =>
        addCorrection(document, {
          id: crypto.randomUUID(),
          side: brush.side,
          tool,
          radius: drawn[0].radius,
          points: drawn.map(({ x, y }) => ({ x: rounded(x), y: rounded(y) })),
        }),
      );
    } catch (error) {
      showFault(error);
    }
  };
}

/** The line without the points that say nothing, and with fewer where there are still too many. */
function fewEnough(points: Point[]): Point[] {
  for (let loose = LOOSE; ; loose *= 2) {
    const simple = simplify(points, loose, true);
    if (simple.length <= MOST_POINTS) return simple;
  }
}
