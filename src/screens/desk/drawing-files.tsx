'use client';

import { useEffect, useMemo } from 'react';
import { svgOf, type Drawing } from '@/core/plan/drawing';
import { Button } from '@/ui/button';
import { fileName, keepFile } from '@/ui/keep-file';
import { showError } from '@/ui/notices';
import { usePrinted } from '@/ui/use-printed';
import { pngOfDrawing } from './drawing-png';

interface Props {
  /** Null while it is being drawn. */
  drawing: Drawing | null;
  title: string;
  about: string;
}

/** A sheet to take away, as PDF in its true size, as PNG or as SVG. */
export function DrawingFiles({ drawing, title, about }: Props) {
  const { printing, print } = usePrinted();
  return (
    <>
      <Button
        weight="strong"
        className="mt-2"
        disabled={!drawing || printing}
        onClick={() => drawing && void print([drawing], title, about)}
      >
        {printing ? 'Printing …' : 'Save PDF'}
      </Button>
      <div className="flex gap-2">
        <Button
          className="grow"
          disabled={!drawing}
          onClick={() =>
            drawing &&
            void pngOfDrawing(drawing).then(
              (png) => keepFile(png, fileName(title, about, 'png')),
              showError,
            )
          }
        >
          Save PNG
        </Button>
        <Button
          className="grow"
          disabled={!drawing}
          onClick={() =>
            drawing &&
            keepFile(
              new Blob([svgOf(drawing)], { type: 'image/svg+xml' }),
              fileName(title, about, 'svg'),
            )
          }
        >
          Save SVG
        </Button>
      </div>
    </>
  );
}

/** A sheet as it will be printed. */
export function DrawingPreview({ drawing, alt }: { drawing: Drawing | null; alt: string }) {
  const source = useMemo(
    () => drawing && URL.createObjectURL(new Blob([svgOf(drawing)], { type: 'image/svg+xml' })),
    [drawing],
  );
  useEffect(() => () => void (source && URL.revokeObjectURL(source)), [source]);
  return (
    <div className="flex min-h-64 items-center justify-center bg-surround p-3">
      {source && drawing ? (
        <img
          src={source}
          alt={alt}
          className="max-h-[60vh] max-w-full"
          style={{ aspectRatio: drawing.width / drawing.height }}
        />
      ) : (
        <p role="status" className="bg-sheet px-4 py-2">
          Drawing the plan …
        </p>
      )}
    </div>
  );
}
