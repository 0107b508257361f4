'use client';

import { useState, type DragEvent } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { FORMATS } from '@/core/formats/formats';
import { loses } from '@/core/formats/library-file';
import type { Paper } from '@/contracts/print';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { download } from '@/ui/keep-file';
import { PaperSelect } from '@/ui/paper-select';
import { capital, list } from '@/ui/words';

interface Props {
  /** What is carried out: some, or all there are; none closes it. */
  libraries: readonly { id: string; name: string }[] | 'all';
  onClose: () => void;
}

/** The ways out: to print, to give, and for other programs; each with what it can't hold. */
export function ExportDialog({ libraries, onClose }: Props) {
  const [paper, setPaper] = useState<Paper>('a4');
  const some = libraries === 'all' ? [] : libraries;
  const one = some.length === 1 ? some[0] : null;
  const fileHref = (format: string) =>
    one
      ? hrefOf(endpoints.exportLibrary, { id: one.id, query: { format } })
      : hrefOf(endpoints.exportLibraries, {
          query: {
            format,
            ids: libraries === 'all' ? undefined : some.map(({ id }) => id).join(','),
          },
        });
  return (
    <Dialog
      open={libraries === 'all' || some.length > 0}
      onClose={onClose}
      wide
      title={
        one
          ? `Export “${one.name}”`
          : `Export ${libraries === 'all' ? 'all' : some.length} libraries`
      }
      about={
        one
          ? 'A click keeps the file; drag a button out of the window to put it elsewhere.'
          : 'They come as one zip, a file for each.'
      }
    >
      {one && (
        <section aria-label="To print and to give" className="mb-5 grid gap-3 sm:grid-cols-2">
          <div className="border border-line p-3">
            <h3 className="font-serif text-xl">A card on paper</h3>
            <p className="mb-2 text-[15px] text-soft">
              Stave, chips in true sizes with their greys, notes, and room for recipes, as PDF.
            </p>
            <div className="flex gap-2">
              <PaperSelect paper={paper} onChange={setPaper} />
              <Button
                weight="strong"
                onClick={() =>
                  download(hrefOf(endpoints.printLibrary, { id: one.id, query: { paper } }))
                }
              >
                Print card
              </Button>
            </div>
          </div>
          <div className="border border-line p-3">
            <h3 className="font-serif text-xl">A page to give</h3>
            <p className="mb-2 text-[15px] text-soft">
              One file that opens in any browser, on a phone too, without a network.
            </p>
            <Button
              weight="strong"
              onClick={() => download(hrefOf(endpoints.shareLibrary, { id: one.id }))}
            >
              Keep the page
            </Button>
          </div>
        </section>
      )}
      <h3 className="border-b border-ink pb-1 text-sm font-semibold">For other programs</h3>
      <ul>
        {FORMATS.map((format) => {
          const lost = loses(format);
          return (
            <li key={format.id} className="flex items-center gap-4 border-b py-1.5">
              <Button
                className="w-56 shrink-0 justify-start"
                draggable={one !== null}
                onDragStart={(event) =>
                  one &&
                  offerFile(
                    event,
                    format.mediaType,
                    `${one.name}.${format.extension}`,
                    fileHref(format.id),
                  )
                }
                onClick={() => download(fileHref(format.id))}
              >
                {capital(format.title)}
              </Button>
              <p className="text-[15px] leading-snug">
                <span className="text-soft">.{format.extension}</span>{' '}
                {lost.length === 0 ? 'Holds everything.' : <span>Does not hold {list(lost)}.</span>}
              </p>
            </li>
          );
        })}
      </ul>
    </Dialog>
  );
}

/** Lets a file be dragged out of the window, where the browser can do that; elsewhere its address. */
function offerFile(event: DragEvent, mediaType: string, name: string, path: string): void {
  const url = new URL(path, window.location.href).href;
  const safe = name.replace(/[\\/:*?"<>|]/g, ' ');
  event.dataTransfer.setData('DownloadURL', `${mediaType}:${safe}:${url}`);
  event.dataTransfer.setData('text/uri-list', url);
  event.dataTransfer.effectAllowed = 'copy';
}
