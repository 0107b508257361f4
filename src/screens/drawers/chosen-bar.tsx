'use client';

import { Button } from '@/ui/button';
import { capital, count } from '@/ui/words';

interface Props {
  chosen: number;
  onCompare: () => void;
  onMerge: () => void;
  onExport: () => void;
  onMove: () => void;
  onRemove: () => void;
  onNone: () => void;
}

/** What can be done with the libraries that are chosen. */
export function ChosenBar({ chosen, ...on }: Props) {
  return (
    <section
      aria-label="Chosen libraries"
      className="fixed inset-x-0 bottom-0 z-30 flex flex-wrap items-center gap-2 border-t border-ink bg-sheet px-4 py-2 sm:px-6"
    >
      <p role="status" className="mr-2 font-serif text-lg">
        {capital(count(chosen))} chosen
      </p>
      {chosen === 2 && (
        <>
          <Button onClick={on.onCompare}>Compare</Button>
          <Button onClick={on.onMerge}>Merge</Button>
        </>
      )}
      <Button onClick={on.onExport}>Export</Button>
      <Button onClick={on.onMove}>Put in a folder</Button>
      <Button onClick={on.onRemove}>Into the bin</Button>
      <Button weight="quiet" className="ml-auto" onClick={on.onNone}>
        Choose none
      </Button>
    </section>
  );
}
