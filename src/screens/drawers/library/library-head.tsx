import type { Library, LibraryContent } from '@/contracts/library';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { OnAnotherPicture, type ColoursFrom } from '@/ui/on-another-picture';
import { LibraryHistory } from './library-history';
import type { LibraryActions } from './use-library-actions';

interface Props {
  library: Library;
  name: string;
  actions: Pick<LibraryActions, 'duplicate' | 'removeLibrary'>;
  onExport: () => void;
  onRestore: (was: LibraryContent) => void;
}

/** What a library is called, and the ways out of it. */
export function LibraryHead({ library, name, actions, onExport, onRestore }: Props) {
  const [used, setUsed] = useState<ColoursFrom | null>(null);
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 px-4 py-3 sm:px-6">
      <h1 className="min-w-0 font-serif text-3xl leading-tight break-words">
        {name.trim() || 'Untitled library'}
      </h1>
      <div className="flex flex-wrap gap-2">
        <Button weight="strong" onClick={onExport}>
          Export, print or share
        </Button>
        <Button onClick={() => setUsed({ kind: 'library', id: library.id, name })}>
          On another picture …
        </Button>
        <OnAnotherPicture from={used} onClose={() => setUsed(null)} />
        <LibraryHistory libraryId={library.id} onRestore={onRestore} />
        <Button onClick={() => void actions.duplicate()}>Duplicate</Button>
        <Button weight="quiet" className="underline" onClick={() => void actions.removeLibrary()}>
          Into the bin
        </Button>
      </div>
    </div>
  );
}
