import type { KeyboardEvent } from 'react';
import type { DeskStore } from '../desk-store';
import type { Point } from '../view';

const STEP = 0.01;

/** Arrow keys move the place that is read, Enter and Space take it. */
export function readingKeys(store: DeskStore, onTake: (place: Point) => void) {
  return (event: KeyboardEvent) => {
    const step = event.shiftKey ? STEP * 5 : STEP;
    const moves: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const move = moves[event.key];
    const at = store.getState().pointer ?? { x: 0.5, y: 0.5 };
    if (move) {
      event.preventDefault();
      store
        .getState()
        .set({ pointer: { x: clampToUnit(at.x + move[0]), y: clampToUnit(at.y + move[1]) } });
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onTake(at);
    }
  };
}

export function clampToUnit(n: number): number {
  return Math.min(1, Math.max(0, n));
}
