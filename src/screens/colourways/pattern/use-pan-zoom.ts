'use client';

import { useGesture } from '@use-gesture/react';
import { useState, type RefObject } from 'react';

/** What of a drawing is looked at: how many times as large as it fits, and where its middle lies, in CSS pixels from the frame's. */
export interface PanZoom {
  zoom: number;
  x: number;
  y: number;
}

export const FITTED: PanZoom = { zoom: 1, x: 0, y: 0 };
const MAX_ZOOM = 24;
const WHEEL = 0.0018;

/** Zooms by wheel and pinch about the place under the hand, pans by dragging; several frames may share one `view`. */
export function usePanZoom(
  frame: RefObject<HTMLElement | null>,
  view: PanZoom,
  setView: (edit: (was: PanZoom) => PanZoom) => void,
): void {
  const [from, setFrom] = useState<PanZoom>(FITTED);
  const about = (clientX: number, clientY: number) => {
    const box = frame.current?.getBoundingClientRect();
    return box
      ? { x: clientX - box.left - box.width / 2, y: clientY - box.top - box.height / 2 }
      : { x: 0, y: 0 };
  };
  useGesture(
    {
      onDrag: ({ delta: [dx, dy], pinching, tap }) => {
        if (!pinching && !tap) setView((was) => panned(was, dx, dy));
      },
      onWheel: ({ event, delta: [, dy] }) => {
        event.preventDefault();
        const place = about(event.clientX, event.clientY);
        setView((was) => zoomed(was, was.zoom * Math.exp(-dy * WHEEL), place));
      },
      onPinchStart: () => setFrom(view),
      onPinch: ({ origin: [x, y], movement: [scale] }) => {
        const place = about(x, y);
        setView((was) => zoomed(was, from.zoom * scale, place));
      },
    },
    {
      target: frame,
      eventOptions: { passive: false },
      drag: { filterTaps: true },
      pinch: { scaleBounds: { min: 0.05, max: MAX_ZOOM } },
    },
  );
}

const KEY_ZOOM = 1.4;
/** Pixels that an arrow moves by. */
const KEY_PAN = 48;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [1, 0],
  ArrowRight: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** What a key makes of a view: plus and minus zoom about the middle, 0 fits, arrows pan; null for any other. */
export function viewByKey(key: string): ((was: PanZoom) => PanZoom) | null {
  const middle = { x: 0, y: 0 };
  if (key === '+' || key === '=') return (was) => zoomed(was, was.zoom * KEY_ZOOM, middle);
  if (key === '-') return (was) => zoomed(was, was.zoom / KEY_ZOOM, middle);
  if (key === '0') return () => FITTED;
  const arrow = ARROWS[key];
  return arrow ? (was) => panned(was, arrow[0] * KEY_PAN, arrow[1] * KEY_PAN) : null;
}

const panned = (was: PanZoom, dx: number, dy: number): PanZoom =>
  was.zoom === 1 ? was : { ...was, x: was.x + dx, y: was.y + dy };

/** Zoomed so that a place stays where it is; at its fitted size it stands in the middle. */
export function zoomed(was: PanZoom, wanted: number, place: { x: number; y: number }): PanZoom {
  const zoom = Math.min(MAX_ZOOM, Math.max(1, wanted));
  if (zoom === 1) return FITTED;
  const by = zoom / was.zoom;
  return {
    zoom,
    x: place.x - (place.x - was.x) * by,
    y: place.y - (place.y - was.y) * by,
  };
}
