'use client';

import { format } from 'date-fns';
import { useState } from 'react';
import { z } from 'zod';
import {
  libraryContentSchema,
  libraryRevisionSchema,
  type LibraryContent,
  type LibraryRevision,
} from '@/contracts/library';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { showError } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { capital, list, several } from '@/ui/words';

interface Props {
  libraryId: string;
  onRestore: (content: LibraryContent) => void;
}

/** What the library was before, with the way back; going back is a change like any other, and can be undone. */
export function HistoryDialog({ libraryId, onRestore }: Props) {
  const [states, setStates] = useState<LibraryRevision[] | null>(null);
  const [open, setOpen] = useState(false);
  const [shown, setShown] = useState<{ revision: number; content: LibraryContent } | null>(null);
  const { settings } = useSettings();
  const path = `/api/libraries/${libraryId}/history`;
  const begin = () => {
    setOpen(true);
    setShown(null);
    call('GET', path, z.array(libraryRevisionSchema)).then(setStates, (error: unknown) => {
      setOpen(false);
      showError(error);
    });
  };
  const show = (revision: number) =>
    void call('GET', `${path}/${revision}`, libraryContentSchema).then(
      (content) => setShown({ revision, content }),
      showError,
    );
  return (
    <>
      <Button onClick={begin}>History</Button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        wide
        title="What this library was"
        about="The last state of each sitting of changes is kept."
      >
        {states === null && <p role="status">Looking …</p>}
        <ol>
          {states?.map((state, i) => (
            <li key={state.revision} className="border-t py-2 last:border-b">
              <div className="flex flex-wrap items-center gap-3">
                <p className="min-w-0 grow">
                  <strong>{format(new Date(state.savedAt), 'd MMM yyyy, HH:mm')}</strong>
                  {i === 0 && ' (as it is)'}
                  <br />
                  <span className="text-[15px]">{changeWords(state)}</span>
                </p>
                {i > 0 && shown?.revision !== state.revision && (
                  <Button onClick={() => show(state.revision)}>Look at it</Button>
                )}
                {shown?.revision === state.revision && (
                  <Button
                    weight="strong"
                    onClick={() => {
                      onRestore(shown.content);
                      setOpen(false);
                    }}
                  >
                    Go back to this
                  </Button>
                )}
              </div>
              {shown?.revision === state.revision && (
                <div className="mt-2 bg-panel p-2">
                  <p className="font-serif text-lg">{shown.content.name}</p>
                  <Stave
                    swatches={shown.content.swatches}
                    scale={settings.scale}
                    height={90}
                    label={staveWords(shown.content.swatches)}
                  />
                </div>
              )}
            </li>
          ))}
        </ol>
      </Dialog>
    </>
  );
}

function changeWords(state: LibraryRevision): string {
  const { renamed, name, retold, reordered, added, removed, changed, size, revision } = state;
  if (revision === 1) return `Made, with ${several(size, 'swatch', 'swatches')}.`;
  const parts = [
    ...(renamed ? [`named “${name}”`] : []),
    ...(retold ? ['note or tags changed'] : []),
    ...(added > 0 ? [`${several(added, 'swatch', 'swatches')} added`] : []),
    ...(removed > 0 ? [`${several(removed, 'swatch', 'swatches')} taken out`] : []),
    ...(changed > 0 ? [`${several(changed, 'swatch', 'swatches')} changed`] : []),
    ...(reordered ? ['put in another order'] : []),
  ];
  // The first that is kept of a library from before its history was.
  return parts.length > 0
    ? `${capital(list(parts))}.`
    : `With ${several(size, 'swatch', 'swatches')}.`;
}
