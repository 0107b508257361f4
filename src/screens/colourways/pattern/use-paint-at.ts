'use client';

import { useCallback, useRef } from 'react';
import { imageOf } from './image-of';
import { useDrawing } from './drawing-room';

/** Pixels along the longer side that places are looked up on. */
const SIDE = 1200;
/** A softened edge is as wide as this at most, in pixels. */
const EDGE = 4;

interface Lookup {
  width: number;
  height: number;
  data: Uint8ClampedArray;
  paintOf: Map<number, string>;
}

/** Answers which paint (as merged) is at a place of the drawing, in shares of its sides; null where nothing is. */
export function usePaintAt(): (x: number, y: number) => Promise<string | null> {
  const { worker, facts, targets } = useDrawing();
  const held = useRef<{ of: unknown; lookup: Promise<Lookup> } | null>(null);
  return useCallback(
    async (x, y) => {
      if (!worker) return null;
      if (held.current?.of !== worker)
        held.current = {
          of: worker,
          lookup: worker.drawings.keyed().then(async ({ blob, units }) => {
            const scale = SIDE / Math.max(facts.width, facts.height);
            const width = Math.max(1, Math.round(facts.width * scale));
            const height = Math.max(1, Math.round(facts.height * scale));
            const canvas = new OffscreenCanvas(width, height);
            const context = canvas.getContext('2d', { willReadFrequently: true });
            if (!context) throw new Error('this browser can’t draw off screen');
            context.drawImage(await imageOf(blob), 0, 0, width, height);
            const paintOf = new Map(
              units.map(({ key, hexes }) => [parseInt(key.slice(1), 16), hexes[0]]),
            );
            return { width, height, paintOf, data: context.getImageData(0, 0, width, height).data };
          }),
        };
      const paint = nearestPaint(await held.current.lookup, x, y);
      return paint === null ? null : (targets.get(paint) ?? paint);
    },
    [worker, facts, targets],
  );
}

function nearestPaint({ width, height, data, paintOf }: Lookup, x: number, y: number) {
  const [column, row] = [Math.floor(x * width), Math.floor(y * height)];
  for (let ring = 0; ring <= EDGE; ring++)
    for (let dy = -ring; dy <= ring; dy++)
      for (let dx = -ring; dx <= ring; dx++) {
        if (Math.max(Math.abs(dx), Math.abs(dy)) !== ring) continue;
        const [px, py] = [column + dx, row + dy];
        if (px < 0 || py < 0 || px >= width || py >= height) continue;
        const at = 4 * (py * width + px);
        const paint = paintOf.get((data[at] << 16) | (data[at + 1] << 8) | data[at + 2]);
        if (paint && data[at + 3] === 255) return paint;
      }
  return null;
}
