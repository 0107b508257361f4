'use client';

import { useEffect, useState } from 'react';
import { Button } from '@/ui/button';
import { keepFile } from '@/ui/keep-file';
import { showError } from '@/ui/notices';
import { pngOf } from './sheet-paper';

interface Props {
  /** The sheet, or null while it is being made. */
  sheet: HTMLCanvasElement | null;
  alt: string;
  file: string;
}

/** A sheet as it will be printed, to save or print. */
export function SheetPreview({ sheet, alt, file }: Props) {
  const [source, setSource] = useState<string | null>(null);
  useEffect(() => {
    if (!sheet) return;
    let url: string | null = null;
    let gone = false;
    pngOf(sheet).then((png) => {
      if (gone) return;
      url = URL.createObjectURL(png);
      setSource(url);
    }, showError);
    return () => {
      gone = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [sheet]);
  return (
    <>
      <div className="flex min-h-64 items-center justify-center bg-surround p-3">
        {source && sheet ? (
          <img
            src={source}
            alt={alt}
            className="max-h-[58vh] max-w-full"
            style={{ aspectRatio: sheet.width / sheet.height }}
          />
        ) : (
          <p role="status" className="bg-sheet px-4 py-2">
            Drawing the sheet …
          </p>
        )}
      </div>
      <div className="mt-4 flex gap-2">
        <Button
          weight="strong"
          disabled={!source}
          onClick={() => sheet && pngOf(sheet).then((png) => keepFile(png, file), showError)}
        >
          Save PNG
        </Button>
        <Button disabled={!source} onClick={() => source && print(source)}>
          Print
        </Button>
      </div>
    </>
  );
}

/** Prints a picture alone, as large as the paper. */
function print(source: string): void {
  const frame = document.createElement('iframe');
  // Out of sight, but laid out: what is not displayed at all prints empty in some browsers.
  frame.ariaHidden = 'true';
  frame.tabIndex = -1;
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0';
  document.body.append(frame);
  const page = frame.contentDocument;
  if (!page) return;
  const image = page.createElement('img');
  image.style.width = '100%';
  image.onload = () => {
    frame.contentWindow?.addEventListener('afterprint', () => frame.remove());
    frame.contentWindow?.print();
  };
  image.src = source;
  page.body.style.margin = '0';
  page.body.append(image);
}
