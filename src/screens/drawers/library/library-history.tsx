'use client';

import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { LibraryContent, LibraryRevision } from '@/contracts/library';
import { Button } from '@/ui/button';
import { HistoryDialog } from '@/ui/history-dialog';
import { queryFor } from '@/ui/queries';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { several } from '@/ui/words';

interface Props {
  libraryId: string;
  onRestore: (content: LibraryContent) => void;
}

/** What the library was before. */
export function LibraryHistory({ libraryId: id, onRestore }: Props) {
  const [open, setOpen] = useState(false);
  const { settings } = useSettings();
  return (
    <>
      <Button onClick={() => setOpen(true)}>History</Button>
      <HistoryDialog
        open={open}
        onClose={() => setOpen(false)}
        title="What this library was"
        states={queryFor(endpoints.listLibraryHistory, { id })}
        stateAt={(revision) =>
          queryFor(endpoints.getLibraryRevision, { id, revision: String(revision) })
        }
        words={changeWords}
        onRestore={onRestore}
      >
        {({ name, swatches }) => (
          <>
            <p className="font-serif text-lg">{name}</p>
            <Stave
              swatches={swatches}
              scale={settings.scale}
              height={90}
              label={staveWords(swatches)}
            />
          </>
        )}
      </HistoryDialog>
    </>
  );
}

function changeWords(state: LibraryRevision): string[] {
  const { renamed, name, retold, reordered, added, removed, changed, size, revision } = state;
  if (revision === 1) return [`made, with ${several(size, 'swatch', 'swatches')}`];
  const parts = [
    ...(renamed ? [`named “${name}”`] : []),
    ...(retold ? ['note or tags changed'] : []),
    ...(added > 0 ? [`${several(added, 'swatch', 'swatches')} added`] : []),
    ...(removed > 0 ? [`${several(removed, 'swatch', 'swatches')} taken out`] : []),
    ...(changed > 0 ? [`${several(changed, 'swatch', 'swatches')} changed`] : []),
    ...(reordered ? ['put in another order'] : []),
  ];
  // The first that is kept of a library from before its history was.
  return parts.length > 0 ? parts : [`with ${several(size, 'swatch', 'swatches')}`];
}
