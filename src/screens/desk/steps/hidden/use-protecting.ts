'use client';

import { protectPart } from '@/study/hidden-edits';
import { useDesk, type Point } from '../../desk-store';
import { useStrokes } from '../../use-strokes';

/** Keeps what a hand drew from being pushed. */
export function useProtecting(): ((points: Point[]) => void) | null {
  const isUp = useDesk(({ view }) => view.step === 'hidden' && view.quest === 'protect');
  return useStrokes(isUp, protectPart);
}
