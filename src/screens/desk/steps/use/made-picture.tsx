'use client';

import { useEffect, useRef } from 'react';
import type { MadeQuery } from '@/contracts/desk-query/transfer-queries';
import { useDrawn } from '../../use-answer';

/** What a query makes of the picture, as large as there is room. */
export function MadePicture({ query }: { query: MadeQuery | null }) {
  const frame = useRef<HTMLCanvasElement>(null);
  const { canvas, stale } = useDrawn<'transferred' | 'mood' | 'whatIf' | 'oneKey'>(query);
  useEffect(() => {
    const own = frame.current;
    if (!own || !canvas) return;
    own.width = canvas.width;
    own.height = canvas.height;
    own.getContext('2d')?.drawImage(canvas, 0, 0);
  }, [canvas]);
  return (
    <canvas
      ref={frame}
      aria-hidden
      className="block h-full w-full"
      data-drawn={canvas !== null && !stale}
    />
  );
}
