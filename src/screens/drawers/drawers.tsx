'use client';

import {
  DndContext,
  DragOverlay,
  KeyboardSensor,
  pointerWithin,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { ChevronDown } from 'lucide-react';
import { coloursIn } from '@/core/formats/colour-text';
import { wheelOf } from '@/core/colour/wheel';
import { librarySchema, savedLibrarySchema, type Library } from '@/contracts/library';
import {
  LOOSE,
  type Facets,
  type Folder,
  type FoundLibrary,
  type LibrarySearch,
  type SavedSearch,
  type SearchAnswer,
} from '@/contracts/library-search';
import { call, nothing } from '@/ui/api';
import { Button } from '@/ui/button';
import { offerUndo, say, showError } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { TopLine } from '@/ui/shell';
import { typing } from '@/ui/typing';
import { list } from '@/ui/words';
import { AskStrip, LibraryAsk } from './find/ask-strip';
import { askNothing, asksSomething } from './find/asked';
import { BringInDialog } from './travel/bring-in-dialog';
import { Cabinet } from './cabinet';
import { CarryOutDialog } from './travel/carry-out-dialog';
import { ChosenBar } from './chosen-bar';
import { FirstDrawer } from './first-drawer';
import { FolderDialog } from './folder-dialog';
import { foundSentence } from './find/found-sentence';
import { KeepSearch } from './find/keep-search';
import type { RowActions } from './library-row';
import { MergeDialog } from './two/merge-dialog';
import { PASTED, useReadingFiles } from './travel/reading-files';
import { Results } from './results';
import { SearchField } from './find/search-field';
import { useFolders } from './use-folders';
import { useSearch } from './find/use-search';

export interface DrawersProps {
  asked: LibrarySearch;
  first: SearchAnswer;
  facets: Facets;
  folders: Folder[];
  saved: SavedSearch[];
  counts: { libraries: number; swatches: number; binned: number };
}

/** All swatch libraries: found by words and by colour, ordered, and carried in and out. */
export function Drawers({ asked, first, facets, folders, saved, counts }: DrawersProps) {
  const router = useRouter();
  const wheel = wheelOf(useSettings().settings.wheel);
  const room = useSearch(asked, first, facets, wheel);
  const { search, setSearch, found } = room;
  const [chosen, setChosen] = useState<ReadonlyMap<string, FoundLibrary>>(new Map());
  const [carried, setCarried] = useState<readonly { id: string; name: string }[] | 'all'>([]);
  const [moved, setMoved] = useState<readonly string[]>([]);
  const [pair, setPair] = useState<readonly [Library, Library] | null>(null);
  const [bringing, setBringing] = useState(false);
  const [dragged, setDragged] = useState<string | null>(null);
  /** What is unfolded where there is no room for all. */
  const [unfolded, setUnfolded] = useState<'folders' | 'colours' | null>(null);
  const files = useReadingFiles();

  const refresh = () => router.refresh();
  // Also after a fault: part of it may be done.
  const act = (action: () => Promise<unknown>) => action().catch(showError).then(refresh);
  const folderActions = useFolders(act);

  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    noClick: true,
    noKeyboard: true,
    onDrop: (dropped) => {
      setBringing(true);
      void files.read(dropped);
    },
  });
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      if (typing(event)) return;
      const pasted = Array.from(event.clipboardData?.files ?? []);
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (pasted.length === 0 && coloursIn(text).length > 0)
        pasted.push(new File([text], PASTED, { type: 'text/plain' }));
      if (pasted.length === 0) return;
      setBringing(true);
      void files.read(pasted);
    };
    window.addEventListener('paste', paste);
    return () => window.removeEventListener('paste', paste);
  }, [files]);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor),
  );

  const remove = (libraries: readonly FoundLibrary[]) =>
    void act(async () => {
      for (const { id } of libraries) await call('DELETE', `/api/libraries/${id}`, nothing);
      setChosen(new Map());
      const what = libraries.length === 1 ? `“${libraries[0].name}” was` : 'They were';
      offerUndo(`${what} put into the bin.`, () =>
        act(async () => {
          for (const { id } of libraries)
            await call('POST', `/api/libraries/${id}/restore`, nothing);
        }),
      );
    });
  const put = (ids: readonly string[], folderId: string | null) =>
    void act(async () => {
      const was = new Map(found.rows.map((row) => [row?.id, row?.folderId ?? null]));
      await call('PATCH', '/api/drawers/folders', nothing, { ids, folderId });
      const name = folders.find(({ id }) => id === folderId)?.name;
      offerUndo(name ? `Put in “${name}”.` : 'Taken out of its folder.', () =>
        act(async () => {
          for (const id of ids)
            await call('PATCH', '/api/drawers/folders', nothing, {
              ids: [id],
              folderId: was.get(id) ?? null,
            });
        }),
      );
    });
  const endDrag = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    if (!over) return;
    const id = String(active.id);
    const data = over.data.current as { folder?: string | null; before?: string } | undefined;
    if (data?.before !== undefined) {
      if (data.before !== id)
        void act(() => call('PUT', '/api/drawers/order', nothing, { id, before: data.before }));
    } else if (data && 'folder' in data)
      put(chosen.has(id) ? [...chosen.keys()] : [id], data.folder ?? null);
  };

  const actions: RowActions = {
    open: ({ id }) => router.push(`/drawers/${id}`),
    favour: ({ id, favourite }) => {
      room.edit(id, { favourite: !favourite });
      call('PUT', `/api/libraries/${id}/favourite`, nothing, { favourite: !favourite }).catch(
        (error: unknown) => {
          room.edit(id, { favourite });
          showError(error);
        },
      );
    },
    duplicate: ({ id, name }) =>
      void act(async () => {
        await call('POST', `/api/libraries/${id}/duplicate`, savedLibrarySchema);
        say(`“${name}” has a copy.`);
      }),
    carryOut: (library) => setCarried([library]),
    moveTo: ({ id }) => setMoved([id]),
    remove: (library) => remove([library]),
  };
  const chosenOnes = [...chosen.values()];
  const merge = () =>
    Promise.all(
      chosenOnes.map(({ id }) => call('GET', `/api/libraries/${id}`, librarySchema)),
    ).then(([one, other]) => setPair([one, other]), showError);
  const inFolder = search.folder !== null && search.folder !== LOOSE ? search.folder : null;
  const somewhere = search.folder !== null || search.favourites;

  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragStart={({ active }) => setDragged(String(active.data.current?.name ?? ''))}
      onDragEnd={endDrag}
      onDragCancel={() => setDragged(null)}
    >
      <div {...getRootProps({ className: 'flex min-h-screen flex-col bg-panel' })}>
        <TopLine>
          <SearchField
            search={search}
            onChange={setSearch}
            className="ml-auto max-w-72 max-sm:hidden"
          />
          <Button
            weight="strong"
            onClick={() => setBringing(true)}
            className="h-9 min-h-9 whitespace-nowrap max-sm:ml-auto"
          >
            <span>
              Import<span className="max-sm:hidden"> swatches</span>
            </span>
          </Button>
        </TopLine>
        <main className="grid w-full grow items-start lg:grid-cols-[15rem_minmax(0,1fr)]">
          {/* Out of the flow: the grid has no place for it. */}
          <input
            {...getInputProps({ 'aria-label': 'Choose library files', className: 'absolute' })}
          />
          <h1 className="sr-only">Drawers</h1>
          <div className="flex border-b lg:hidden">
            {(['folders', 'colours'] as const).map((part) => (
              <button
                key={part}
                type="button"
                aria-expanded={unfolded === part}
                onClick={() => setUnfolded(unfolded === part ? null : part)}
                className="flex min-h-12 grow items-center gap-2 px-4 text-left font-semibold not-first:border-l"
              >
                <ChevronDown
                  size={18}
                  aria-hidden
                  className={unfolded === part ? 'rotate-180' : ''}
                />
                {part === 'folders' ? 'Folders' : 'Ask by colour'}
              </button>
            ))}
          </div>
          <div
            className={`py-3 lg:sticky lg:top-0 lg:block lg:h-[calc(100vh-3rem)] lg:overflow-y-auto lg:border-r ${unfolded === 'folders' ? '' : 'max-lg:hidden'}`}
          >
            <Cabinet
              search={search}
              folders={folders}
              saved={saved}
              counts={counts}
              onChange={(next) => {
                setSearch(next);
                setUnfolded(null);
              }}
              onCarryAll={() => setCarried('all')}
              {...folderActions}
            />
          </div>
          <div className={`min-w-0 px-4 pt-3 sm:px-6 ${chosen.size > 0 ? 'pb-24' : 'pb-8'}`}>
            {counts.libraries === 0 ? (
              <FirstDrawer binned={counts.binned} onBringIn={() => setBringing(true)} />
            ) : (
              <>
                <div className={unfolded === 'colours' ? '' : 'max-lg:hidden'}>
                  <AskStrip
                    search={search}
                    facets={room.facets}
                    wheel={wheel}
                    onChange={setSearch}
                  />
                </div>
                <SearchField search={search} onChange={setSearch} className="sm:hidden" />
                <div className="flex flex-wrap items-center gap-2 py-2">
                  <p
                    role="status"
                    data-testid="finding"
                    className={`mr-auto font-serif text-xl ${room.asking ? 'text-soft' : ''}`}
                  >
                    {foundSentence(found.to, found.total, counts, wheel)}
                  </p>
                  <LibraryAsk search={search} facets={room.facets} onChange={setSearch} />
                  {asksSomething(search) && (
                    <>
                      <KeepSearch search={search} onKept={refresh} />
                      <Button weight="quiet" onClick={() => setSearch(askNothing(search))}>
                        Show all
                      </Button>
                    </>
                  )}
                </div>
                {found.total === 0 && !room.asking ? (
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
                    folderOf={({ folderId }) =>
                      search.folder === null
                        ? (folders.find(({ id }) => id === folderId)?.name ?? null)
                        : null
                    }
                    chosen={new Set(chosen.keys())}
                    ordering={search.sort === 'own'}
                    onChoose={(library) =>
                      setChosen((was) => {
                        const next = new Map(was);
                        if (!next.delete(library.id)) next.set(library.id, library);
                        return next;
                      })
                    }
                    onSee={room.see}
                    actions={actions}
                  />
                )}
              </>
            )}
          </div>
        </main>
        {chosen.size > 0 && (
          <ChosenBar
            chosen={chosen.size}
            onCompare={() =>
              router.push(`/drawers/compare?one=${chosenOnes[0].id}&other=${chosenOnes[1].id}`)
            }
            onMerge={() => void merge()}
            onCarryOut={() => setCarried(chosenOnes)}
            onMove={() => setMoved([...chosen.keys()])}
            onRemove={() => remove(chosenOnes)}
            onNone={() => setChosen(new Map())}
          />
        )}
        {/* Within, so that files can be dropped on it too. */}
        <BringInDialog
          open={bringing}
          files={files}
          folderId={inFolder}
          onChooseFiles={open}
          onDone={(names) => {
            setBringing(false);
            say(
              `${list(names.slice(0, 4).map((name) => `“${name}”`))}${names.length > 4 ? ' and others are' : names.length > 1 ? ' are' : ' is'} in the Drawers.`,
            );
            refresh();
          }}
          onStored={refresh}
          onClose={() => setBringing(false)}
        />
        {isDragActive && (
          <div className="pointer-events-none fixed inset-0 z-40 flex items-center justify-center border-8 border-ink bg-panel/85">
            <p className="font-serif text-4xl">Let go, and look them over.</p>
          </div>
        )}
      </div>
      <DragOverlay dropAnimation={null}>
        {dragged !== null && (
          <p className="w-64 truncate border border-ink bg-sheet px-3 py-2 font-serif text-lg">
            {dragged}
          </p>
        )}
      </DragOverlay>
      <CarryOutDialog libraries={carried} onClose={() => setCarried([])} />
      <FolderDialog
        count={moved.length}
        folders={folders}
        onPut={(folderId) => {
          put(moved, folderId);
          setMoved([]);
        }}
        onClose={() => setMoved([])}
      />
      <MergeDialog
        pair={pair}
        onDone={({ id, name, binned }) => {
          setPair(null);
          setChosen(new Map());
          refresh();
          offerUndo(`“${name}” was made of the two.`, () =>
            act(async () => {
              await call('DELETE', `/api/libraries/${id}`, nothing);
              for (const old of binned)
                await call('POST', `/api/libraries/${old}/restore`, nothing);
            }),
          );
        }}
        onClose={() => setPair(null)}
      />
    </DndContext>
  );
}
