'use client';

import { ChevronDown } from 'lucide-react';
import type { Wheel } from '@/core/colour/wheel';
import type { Folder, FoundLibrary, LibraryCounts } from '@/contracts/library-search';
import { Button } from '@/ui/button';
import { AskStrip, LibraryAsk } from './find/ask-strip';
import { foundSentence } from './find/found-sentence';
import { KeepSearch } from './find/keep-search';
import { askNothing, asksSomething } from './find/search-address';
import { SearchField } from './find/search-field';
import type { SearchRoom } from './find/use-search';
import type { RowActions } from './library-row';
import { Results } from './results';
import type { Unfolded } from './unfolding';

interface Props {
  room: SearchRoom;
  wheel: Wheel;
  folders: readonly Folder[];
  counts: LibraryCounts;
  unfolded: Unfolded;
  /** Unfolds the criteria of colour, or folds them. */
  onUnfold: () => void;
  chosen: ReadonlyMap<string, FoundLibrary>;
  onChoose: (library: FoundLibrary) => void;
  onKept: () => void;
  actions: RowActions;
}

/** The search, its results, and the libraries themselves. */
export function FoundLibraries(props: Props) {
  const { room, wheel, folders, counts, unfolded, chosen, onChoose, onKept, actions } = props;
  const { onUnfold } = props;
  const { search, setSearch, found, facets, asking } = room;
  const somewhere = search.folder !== null || search.favourites;
  const nameOf = (folderId: string | null) =>
    search.folder === null ? (folders.find(({ id }) => id === folderId)?.name ?? null) : null;
  return (
    <>
      {unfolded === 'colours' && (
        <AskStrip search={search} facets={facets} wheel={wheel} onChange={setSearch} />
      )}
      <SearchField search={search} onChange={setSearch} className="sm:hidden" />
      <div className="flex flex-wrap items-center gap-2 py-2">
        <p
          role="status"
          data-testid="finding"
          className={`mr-auto font-serif text-xl ${asking ? 'text-soft' : ''}`}
        >
          {foundSentence(found.to, found.total, counts, wheel)}
        </p>
        <Button className="max-lg:hidden" aria-expanded={unfolded === 'colours'} onClick={onUnfold}>
          Ask by colour
          <ChevronDown
            size={18}
            aria-hidden
            className={unfolded === 'colours' ? 'rotate-180' : ''}
          />
        </Button>
        <LibraryAsk search={search} facets={facets} onChange={setSearch} />
        {asksSomething(search) && (
          <>
            <KeepSearch search={search} onKept={onKept} />
            <Button weight="quiet" onClick={() => setSearch(askNothing(search))}>
              Show all
            </Button>
          </>
        )}
      </div>
      {found.total === 0 && !asking ? (
        <p className="border-t border-ink py-6 text-lg">
          {asksSomething(search)
            ? 'Nothing answers to all of that. Widen a range, or ask for less.'
            : somewhere
              ? 'There is nothing here yet. Drag a library here by its handle, or use its menu.'
              : ''}
        </p>
      ) : (
        <Results
          found={found}
          folderOf={({ folderId }) => nameOf(folderId)}
          chosen={new Set(chosen.keys())}
          ordering={search.sort === 'own'}
          onChoose={onChoose}
          onSee={room.see}
          actions={actions}
        />
      )}
    </>
  );
}
