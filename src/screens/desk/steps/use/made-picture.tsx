'use client';

import { useEffect, useRef } from 'react';
import type { MadeQuery } from '@/contracts/desk-query/transfer-queries';
import { useDrawn } from '../../use-answer';

/** What a query makes of the picture, as large as there is room. */
export function MadePicture({ query }: { query: MadeQuery | null }) {
  const { canvas, stale } = useDrawn<'transferred' | 'mood' | 'whatIf' | 'oneKey'>(query);
  return <CanvasCopy canvas={canvas} isDrawn={canvas !== null && !stale} />;
}

/** What is drawn on a canvas that stands elsewhere, or nowhere. */
export function CanvasCopy({
  canvas,
  isDrawn,
}: {
  canvas: HTMLCanvasElement | null;
  isDrawn: boolean;
}) {
  const frame = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const own = frame.current;
    if (!own || !canvas) return;
    own.width = canvas.width;
    own.height = canvas.height;
    own.getContext('2d')?.drawImage(canvas, 0, 0);
  }, [canvas]);
  return <canvas ref={frame} aria-hidden className="block h-full w-full" data-drawn={isDrawn} />;
}
