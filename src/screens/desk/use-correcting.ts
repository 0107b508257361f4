'use client';

import { addCorrection } from '@/study/light-edits';
import { useDesk, type Point } from './desk-store';
import { useStrokes } from './use-strokes';

/** Gives what a hand drew to the light or to the shadow. */
export function useCorrecting(): ((points: Point[]) => void) | null {
  const side = useDesk((state) => state.brush.side);
  const asksLight = useDesk(({ view }) => view.step === 'values' && view.topic === 'light');
  return useStrokes(asksLight, (document, stroke) => addCorrection(document, { ...stroke, side }));
}
