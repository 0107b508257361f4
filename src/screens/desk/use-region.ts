'use client';

import { useDesk, useDeskStore, type Point } from './desk-store';
import { fewEnough, kept } from './drawn-points';
import { usePicture } from './picture-room';

/** Takes what a hand drew as the loop that extraction looks within; null while the tool for it is not up. */
export function useRegion(): ((points: Point[]) => void) | null {
  const store = useDeskStore();
  const room = usePicture();
  const isUp = useDesk(({ tool, view }) => tool === 'region' && view.step === 'palette');
  if (!isUp) return null;
  return (points) => {
    if (points.length < 3) return;
    const region = fewEnough(points).map((point) => kept(room.originalArea(point, 0, true)));
    if (region.length < 3) return;
    store
      .getState()
      .change((document) => ({ ...document, palette: { ...document.palette, region } }));
    store.getState().set({ tool: 'look' });
  };
}
