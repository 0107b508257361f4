'use client';

import { useState, type PointerEvent } from 'react';
import { useDeskStore } from '../../desk-store';
import { useHoldMass } from './use-hold-mass';

/** Pixels that a hand moves before it drags. */
const SLACK = 6;

interface Ghost {
  id: string;
  x: number;
  y: number;
}

/** Drags a colour to the picture: the mass that it is let go over takes it. The stage says what lies under the pointer. */
export function useColourDrag(): {
  ghost: Ghost | null;
  of: (id: string) => { onPointerDown: (event: PointerEvent<HTMLElement>) => void };
} {
  const store = useDeskStore();
  const hold = useHoldMass();
  const [ghost, setGhost] = useState<Ghost | null>(null);
  return {
    ghost,
    of: (id) => ({
      onPointerDown(event) {
        if (event.button !== 0) return;
        const { clientX, clientY, pointerId, currentTarget } = event;
        // A finger holds on to what it touches first; let go, it is over the picture when it gets there.
        if (currentTarget.hasPointerCapture(pointerId))
          currentTarget.releasePointerCapture(pointerId);
        store.getState().set({ pointer: null });
        let isDragging = false;
        const end = new AbortController();
        const { signal } = end;
        const move = (moved: globalThis.PointerEvent) => {
          if (moved.pointerId !== pointerId) return;
          isDragging ||= Math.hypot(moved.clientX - clientX, moved.clientY - clientY) > SLACK;
          if (isDragging) setGhost({ id, x: moved.clientX, y: moved.clientY });
        };
        const stop = () => {
          end.abort();
          setGhost(null);
        };
        window.addEventListener('pointermove', move, { signal });
        window.addEventListener('pointercancel', stop, { signal });
        window.addEventListener(
          'pointerup',
          (up) => {
            if (up.pointerId !== pointerId) return;
            stop();
            const isOverStage =
              up.target instanceof Element && up.target.closest('[data-testid="stage"]') !== null;
            const { pointer } = store.getState();
            if (isDragging && isOverStage && pointer) void hold(pointer, id);
          },
          { signal },
        );
      },
    }),
  };
}
