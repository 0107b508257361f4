'use client';

import { useGesture } from '@use-gesture/react';
import { useState, type RefObject } from 'react';
import { useDeskStore } from '../desk-store';
import type { Point } from '../view';
import { pannedBy, placeAt, zoomedAt, type Size, type Viewport } from './viewport';

interface Ground {
  /** From the window's pixels to the stage's. */
  onStage: (xy: readonly number[]) => Point;
  picture: Size;
  size: Size;
  viewport: Viewport;
  onTap: (place: Point) => void;
  onStroke: ((points: Point[]) => void) | null;
}

/**
 * What a hand does on the stage: pointing, tapping, drawing, panning and zooming with mouse, pen or
 * fingers. Answers the stroke that is being drawn, in fractions of the framed picture.
 */
export function useStageGestures(
  target: RefObject<HTMLDivElement | null>,
  { onStage, picture, size, viewport, onTap, onStroke }: Ground,
): readonly Point[] {
  const store = useDeskStore();
  const [drawing, setDrawing] = useState<Point[]>([]);
  const placeUnder = (xy: readonly number[]): Point | null => {
    const place = placeAt(onStage(xy), viewport, picture);
    return place.x >= 0 && place.x < 1 && place.y >= 0 && place.y < 1 ? place : null;
  };
  const looking = () => store.getState().view;
  const zoomBy = (factor: number, point: Point) =>
    store.getState().look(zoomedAt(looking(), factor, point, picture, size));

  useGesture(
    {
      onMove: ({ xy, touches, dragging }) => {
        if (touches < 2 && !dragging) store.getState().set({ pointer: placeUnder(xy) });
      },
      onHover: ({ hovering }) => {
        if (!hovering) store.getState().set({ pointer: null });
      },
      onDrag: ({ tap, first, last, xy, initial, delta: [x, y], pinching, cancel }) => {
        if (pinching) {
          setDrawing([]);
          return cancel();
        }
        if (onStroke && !tap) {
          const place = placeAt(onStage(xy), viewport, picture);
          store.getState().set({ pointer: placeUnder(xy) });
          const start = first ? [placeAt(onStage(initial), viewport, picture)] : drawing;
          const points = [...start, place];
          setDrawing(last ? [] : points);
          if (last) onStroke(points);
          return;
        }
        if (!tap) return store.getState().look(pannedBy(looking(), { x, y }, picture, size));
        const place = placeUnder(xy);
        store.getState().set({ pointer: place });
        if (place) onTap(place);
      },
      onPinch: ({ origin, delta: [change], offset: [scale], memo, event }) => {
        event.preventDefault();
        const before = (memo as number | undefined) ?? scale - change;
        zoomBy(scale / before, onStage(origin));
        return scale;
      },
      onWheel: ({ event, delta: [, y], ctrlKey }) => {
        if (ctrlKey) return;
        event.preventDefault();
        zoomBy(Math.exp(-y / 400), onStage([event.clientX, event.clientY]));
      },
    },
    {
      target,
      eventOptions: { passive: false },
      // Arrow keys move the place that is read; they are no drag.
      drag: { filterTaps: true, pointer: { touch: true, keys: false } },
      pinch: { scaleBounds: { min: 0.01, max: 100 } },
    },
  );
  return drawing;
}
