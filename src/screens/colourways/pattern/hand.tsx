'use client';

import {
  createContext,
  useContext,
  useMemo,
  useState,
  type PointerEvent,
  type ReactNode,
} from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { WayColour } from '@/core/pattern/way-colours';
import { choose, holdPaint, moveWayColour } from '@/study/pattern-edits';
import { say } from '@/ui/notices';
import { usePaintAt } from './use-paint-at';
import { useChange } from './use-pattern';

/** Pixels that a hand moves before it drags. */
const SLACK = 6;

/** A colour that was taken in hand, to be put on a paint, on another colour, or on the drawing. */
interface Hand {
  colour: string | null;
  take: (colour: string | null) => void;
  /** Puts the colour in hand, or another, on a paint. */
  putOnPaint: (paint: string, colour?: string) => void;
  /** Puts it on a place of the drawing, in shares of its sides. */
  putOnPlace: (x: number, y: number, colour?: string) => void;
  /** Handlers of a chip that can be dragged. */
  drag: (colour: WayColour) => { onPointerDown: (event: PointerEvent<HTMLElement>) => void };
}

const HandContext = createContext<Hand | null>(null);

export function useHand(): Hand {
  const hand = useContext(HandContext);
  if (!hand) throw new Error('useHand outside a pattern');
  return hand;
}

/** What a dragged colour can be let go over says so in this attribute: `paint:#rrggbb`, `colour:ID`, `ground`. */
export const dropOn = (what: string) => ({ 'data-drop': what });

export function HandProvider({ children }: { children: ReactNode }) {
  const change = useChange();
  const paintAt = usePaintAt();
  const [colour, take] = useState<string | null>(null);
  const [ghost, setGhost] = useState<{ x: number; y: number; hex: string } | null>(null);
  const hand = useMemo<Hand>(() => {
    const putOnPaint = (paint: string, other = colour) => {
      if (other) change(holdPaint(paint, other));
    };
    const putOnPlace = async (x: number, y: number, other = colour) => {
      if (!other) return;
      const paint = await paintAt(x, y);
      if (paint) change(holdPaint(paint, other));
      else say('Nothing with a colour of its own is at this place.');
    };
    const drop = (id: string, x: number, y: number) => {
      const under = document.elementFromPoint(x, y);
      const [kind, what] =
        under?.closest<HTMLElement>('[data-drop]')?.dataset.drop?.split(':') ?? [];
      if (kind === 'paint') putOnPaint(what, id);
      if (kind === 'ground') change(choose({ ground: id }));
      if (kind === 'colour' && what !== id) change(moveWayColour(what, { instead: { id } }));
      const drawing = under
        ?.closest('[data-testid="drawing-stage"]')
        ?.querySelector('[data-testid="drawing"]')
        ?.getBoundingClientRect();
      if (drawing)
        void putOnPlace((x - drawing.left) / drawing.width, (y - drawing.top) / drawing.height, id);
    };
    return {
      colour,
      take,
      putOnPaint,
      putOnPlace: (x, y, other) => void putOnPlace(x, y, other),
      drag: (dragged) => ({
        onPointerDown({ button, clientX, clientY, pointerId, currentTarget }) {
          if (button !== 0) return;
          // A finger holds on to what it touches first; let go, it is over the drawing when it gets there.
          if (currentTarget.hasPointerCapture(pointerId))
            currentTarget.releasePointerCapture(pointerId);
          const end = new AbortController();
          const { signal } = end;
          let isDragging = false;
          const stop = () => {
            end.abort();
            setGhost(null);
          };
          const move = (event: globalThis.PointerEvent) => {
            if (event.pointerId !== pointerId) return;
            isDragging ||= Math.hypot(event.clientX - clientX, event.clientY - clientY) > SLACK;
            if (isDragging)
              setGhost({ x: event.clientX, y: event.clientY, hex: hexFromOklab(dragged.colour) });
          };
          const up = (event: globalThis.PointerEvent) => {
            if (event.pointerId !== pointerId) return;
            stop();
            if (isDragging) drop(dragged.id, event.clientX, event.clientY);
          };
          window.addEventListener('pointermove', move, { signal });
          window.addEventListener('pointerup', up, { signal });
          window.addEventListener('pointercancel', stop, { signal });
        },
      }),
    };
  }, [colour, change, paintAt]);
  return (
    <HandContext value={hand}>
      {children}
      {ghost && (
        <span
          aria-hidden
          className="pointer-events-none fixed z-50 h-9 w-9 border-2 border-sheet outline-2 outline-ink"
          style={{ left: ghost.x + 8, top: ghost.y + 8, background: ghost.hex }}
        />
      )}
    </HandContext>
  );
}
