'use client';

import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { ShelfContent, ShelfPart, ShelfRevision } from '@/contracts/shelf';
import { Button } from '@/ui/button';
import { HistoryDialog } from '@/ui/history-dialog';
import { queryFor } from '@/ui/queries';
import { several } from '@/ui/words';
import { shelfSentence } from './shelf-order';

/** What the shelf was before. */
export function ShelfHistory({ onRestore }: { onRestore: (content: ShelfContent) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>History</Button>
      <HistoryDialog
        open={open}
        onClose={() => setOpen(false)}
        title="What the shelf was"
        states={queryFor(endpoints.listShelfHistory, {})}
        stateAt={(revision) => queryFor(endpoints.getShelfRevision, { revision: String(revision) })}
        words={changeWords}
        onRestore={onRestore}
      >
        {({ tubes }) => (
          <>
            <p className="font-serif text-lg">{shelfSentence(tubes)}</p>
            <p className="text-[15px]">{tubes.map(({ name }) => name).join(', ')}</p>
          </>
        )}
      </HistoryDialog>
    </>
  );
}

const PART_WORDS: Readonly<Record<ShelfPart, string>> = {
  sticks: 'sticks changed',
  pencils: 'pencils changed',
  inks: 'inks changed',
  tries: 'mixtures kept or taken away',
  patches: 'patches kept or taken away',
  owner: 'another owner',
};

function changeWords(
  { tubes, added, removed, changed, besides }: ShelfRevision,
  first: boolean,
): string[] {
  if (first) return [tubes === 0 ? 'begun, empty' : `begun, with ${several(tubes, 'tube')}`];
  const parts = [
    ...(added > 0 ? [`${several(added, 'tube')} added`] : []),
    ...(removed > 0 ? [`${several(removed, 'tube')} taken off`] : []),
    ...(changed > 0 ? [`${several(changed, 'tube')} changed`] : []),
    ...besides.map((part) => PART_WORDS[part]),
  ];
  return parts.length > 0 ? parts : ['saved again'];
}
