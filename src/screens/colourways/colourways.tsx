'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { PatternCard } from '@/contracts/pattern-drawing';
import { call, sendFile } from '@/ui/api';
import { Button } from '@/ui/button';
import { DropNotice } from '@/ui/drop-notice';
import { FileButton } from '@/ui/file-button';
import { offerUndo, showError } from '@/ui/notices';
import { useChanged, useStored } from '@/ui/queries';
import { TopLine } from '@/ui/shell';
import { useFileDrop } from '@/ui/use-file-drop';
import { PatternBin } from './pattern-bin';
import { PatternTile } from './pattern-tile';

const ACCEPT = '.svg,.png,image/svg+xml,image/png';

interface Props {
  patterns: PatternCard[];
  bin: { id: string; title: string; goneAt: string }[];
}

/** All patterns; a drawing that is dropped anywhere becomes one more. */
export function Colourways({ patterns: brought, bin: broughtBin }: Props) {
  const router = useRouter();
  const patterns = useStored(endpoints.listPatterns, {}, brought);
  const bin = useStored(endpoints.listPatternBin, {}, broughtBin);
  const changed = useChanged(endpoints.listPatterns, endpoints.listPatternBin);
  const [arriving, setArriving] = useState<string | null>(null);
  const stopping = useRef<AbortController | null>(null);

  const take = async (files: readonly File[]) => {
    const { signal } = (stopping.current = new AbortController());
    for (const [i, file] of files.entries()) {
      if (signal.aborted) break;
      setArriving(file.name);
      try {
        const { id } = await sendFile(endpoints.importPattern, {}, file, { signal });
        if (i === files.length - 1) router.push(`/colourways/${id}?tab=duplicates`);
      } catch (error) {
        if (!signal.aborted) showError(error);
      }
    }
    setArriving(null);
    await changed();
  };
  const { getRootProps, getInputProps, isDragActive } = useFileDrop((files) => void take(files));

  const remove = async ({ id, title }: PatternCard) => {
    try {
      await call(endpoints.deletePattern, { id });
      await changed();
      offerUndo(`Deleted “${title}”.`, () => restore(id));
    } catch (error) {
      showError(error);
    }
  };
  const restore = async (id: string) => {
    await call(endpoints.restorePattern, { id });
    await changed();
  };

  return (
    <div {...getRootProps({ className: 'min-h-screen bg-panel' })}>
      <TopLine />
      {isDragActive && <DropNotice>Let go to begin</DropNotice>}
      <main className="px-4 pb-10 sm:px-6">
        <input {...getInputProps()} aria-label="Drawings" />
        <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 border-b py-2">
          <h1 className="font-serif text-3xl leading-tight">Colourways</h1>
          <div className="flex items-center gap-3">
            {arriving && (
              <>
                <span role="status">{`Reading ${arriving} …`}</span>
                <Button weight="quiet" onClick={() => stopping.current?.abort()}>
                  Stop
                </Button>
              </>
            )}
            <FileButton
              label="Import a pattern"
              accept={ACCEPT}
              onFile={(file) => void take([file])}
            />
          </div>
        </div>
        {patterns.length === 0 ? (
          <FirstPattern />
        ) : (
          <ul
            aria-label="Patterns"
            className="mt-5 grid grid-cols-[repeat(auto-fill,minmax(min(17rem,100%),1fr))] gap-6"
          >
            {patterns.map((pattern) => (
              <PatternTile
                key={pattern.id}
                pattern={pattern}
                onDelete={() => void remove(pattern)}
              />
            ))}
          </ul>
        )}
        <PatternBin bin={bin} onRestore={(id) => void restore(id).catch(showError)} />
      </main>
    </div>
  );
}

function FirstPattern() {
  return (
    <section className="mx-auto mt-[12vh] max-w-xl">
      <h2 className="font-serif text-4xl leading-tight">No pattern yet.</h2>
      <p className="mt-4 text-lg">
        Import a vector drawing (SVG), or a picture painted in flat colours (PNG); or drop one
        anywhere here. It keeps its shapes and gets as many sets of colours as you like, each beside
        the others and none over the drawing.
      </p>
    </section>
  );
}
