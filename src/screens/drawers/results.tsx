'use client';

import type { FoundLibrary } from '@/contracts/library-search';
import { LongList } from '@/ui/long-list';
import { LibraryRow, type RowActions } from './library-row';
import type { Found } from './find/use-search';

const ROW = 118;

interface Props {
  found: Found;
  folderOf: (library: FoundLibrary) => string | null;
  chosen: ReadonlySet<string>;
  ordering: boolean;
  onChoose: (library: FoundLibrary) => void;
  onSee: (from: number, to: number) => void;
  actions: RowActions;
}

/** The libraries that answer; those that are not fetched yet have their place kept. */
export function Results({ found, folderOf, chosen, ordering, onChoose, onSee, actions }: Props) {
  return (
    <LongList
      label="Libraries"
      count={found.total}
      tall={ROW}
      keyOf={(at) => found.rows[at]?.id ?? at}
      onSee={onSee}
    >
      {(at) => {
        const library = found.rows[at];
        return library ? (
          <LibraryRow
            library={library}
            folder={folderOf(library)}
            chosen={chosen.has(library.id)}
            ordering={ordering}
            onChoose={() => onChoose(library)}
            actions={actions}
          />
        ) : (
          <div aria-hidden className="border-b px-12 py-8 text-soft" style={{ height: ROW }}>
            …
          </div>
        );
      }}
    </LongList>
  );
}
