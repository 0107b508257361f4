'use client';

import { DndContext, DragOverlay } from '@dnd-kit/core';
import { useCallback, useState } from 'react';
import { coloursIn } from '@/core/formats/colour-text';
import { wheelOf } from '@/core/colour/wheel';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type {
  Facets,
  Folder,
  FoundLibrary,
  LibraryCounts,
  LibrarySearch,
  SavedSearch,
  SearchAnswer,
} from '@/contracts/library-search';
import { DropNotice } from '@/ui/drop-notice';
import { useStored } from '@/ui/queries';
import { useSettings } from '@/ui/settings';
import { useFileDrop } from '@/ui/use-file-drop';
import { Cabinet } from './cabinet';
import { ChosenBar } from './chosen-bar';
import { DrawersTopLine } from './drawers-top-line';
import { DrawerDialogs, useDrawerDialogs } from './drawer-dialogs';
import { FirstDrawer } from './first-drawer';
import { asksByColour } from './find/search-address';
import { useSearch } from './find/use-search';
import { FoundLibraries } from './found-libraries';
import { PASTED, useImportFiles } from './transfer/import-files';
import { OnAnotherPicture, type ColoursFrom } from '@/ui/on-another-picture';
import { Unfolding, type Unfolded } from './unfolding';
import { useAct, useDrawerActions } from './use-drawer-actions';
import { useFolders } from './use-folders';
import { useLibraryDrag } from './use-library-drag';

interface Props {
  opened: LibrarySearch;
  first: SearchAnswer;
  facets: Facets;
  folders: Folder[];
  saved: SavedSearch[];
  counts: LibraryCounts;
}

/** A text with colours in it is as good as a file of them. */
function fileOfColours(text: string): File | null {
  return coloursIn(text).length > 0 ? new File([text], PASTED, { type: 'text/plain' }) : null;
}

/** All swatch libraries: found by words and by colour, ordered, imported and exported. */
export function Drawers(props: Props) {
  const wheel = wheelOf(useSettings().settings.wheel);
  const room = useSearch(props.opened, props.first, props.facets, wheel);
  const folders = useStored(endpoints.listFolders, {}, props.folders);
  const saved = useStored(endpoints.listSearches, {}, props.saved);
  const counts = useStored(endpoints.countLibraries, {}, props.counts);
  const { act, changed } = useAct();
  const actions = useDrawerActions(act, folders, room);
  const folderActions = useFolders(act);
  const dialogs = useDrawerDialogs();
  const [chosen, setChosen] = useState<ReadonlyMap<string, FoundLibrary>>(new Map());
  const [used, setUsed] = useState<ColoursFrom | null>(null);
  const [unfolded, setUnfolded] = useState<Unfolded>(asksByColour(props.opened) ? 'colours' : null);
  const files = useImportFiles();
  const { read } = files;
  const { setImporting } = dialogs;
  const take = useCallback(
    (dropped: File[]) => {
      setImporting(true);
      void read(dropped);
    },
    [read, setImporting],
  );
  const { getRootProps, getInputProps, isDragActive, open } = useFileDrop(take, fileOfColours);
  const chosenOnes = [...chosen.values()];
  const chooseNone = () => setChosen(new Map());
  const remove = (libraries: readonly FoundLibrary[]) =>
    void actions.remove(libraries).then(chooseNone);
  const { dragged, handlers } = useLibraryDrag({
    onOrder: (id, before) => void actions.order(id, before),
    onMove: (id, folder) => void actions.moveTo(chosen.has(id) ? [...chosen.keys()] : [id], folder),
  });

  return (
    <DndContext {...handlers}>
      <div {...getRootProps({ className: 'flex min-h-screen flex-col bg-panel' })}>
        <DrawersTopLine
          search={room.search}
          onSearch={room.setSearch}
          onBegin={() => void actions.begin()}
          onImport={() => setImporting(true)}
        />
        <main className="grid w-full grow items-start lg:grid-cols-[15rem_minmax(0,1fr)]">
          {/* Out of the flow: the grid has no place for it. */}
          <input
            {...getInputProps({ 'aria-label': 'Choose library files', className: 'absolute' })}
          />
          <h1 className="sr-only">Drawers</h1>
          <Unfolding unfolded={unfolded} onChange={setUnfolded} />
          <div
            className={`py-3 lg:sticky lg:top-0 lg:block lg:h-[calc(100vh-3rem)] lg:overflow-y-auto lg:border-r ${unfolded === 'folders' ? '' : 'max-lg:hidden'}`}
          >
            <Cabinet
              search={room.search}
              folders={folders}
              saved={saved}
              counts={counts}
              onChange={(next) => {
                room.setSearch(next);
                setUnfolded(asksByColour(next) ? 'colours' : null);
              }}
              onExportAll={() => dialogs.setExported('all')}
              {...folderActions}
            />
          </div>
          <div className={`min-w-0 px-4 pt-3 sm:px-6 ${chosen.size > 0 ? 'pb-24' : 'pb-8'}`}>
            {counts.libraries === 0 ? (
              <FirstDrawer
                binned={counts.binned}
                onBegin={() => void actions.begin()}
                onImport={() => setImporting(true)}
              />
            ) : (
              <FoundLibraries
                room={room}
                wheel={wheel}
                folders={folders}
                counts={counts}
                unfolded={unfolded}
                onUnfold={() => setUnfolded(unfolded === 'colours' ? null : 'colours')}
                chosen={chosen}
                onChoose={(library) =>
                  setChosen((was) => {
                    const next = new Map(was);
                    if (!next.delete(library.id)) next.set(library.id, library);
                    return next;
                  })
                }
                onKept={() => void changed()}
                actions={{
                  open: actions.open,
                  favour: actions.favour,
                  duplicate: (library) => void actions.duplicate(library),
                  exportLibrary: (library) => dialogs.setExported([library]),
                  use: ({ id, name }) => setUsed({ kind: 'library', id, name }),
                  moveTo: ({ id }) => dialogs.setMoved([id]),
                  remove: (library) => remove([library]),
                }}
              />
            )}
          </div>
        </main>
        {chosen.size > 0 && (
          <ChosenBar
            chosen={chosen.size}
            onCompare={() => actions.compare(chosenOnes[0], chosenOnes[1])}
            onMerge={() => void dialogs.openMerge(actions.fetchPair([...chosen.keys()]))}
            onExport={() => dialogs.setExported(chosenOnes)}
            onMove={() => dialogs.setMoved([...chosen.keys()])}
            onRemove={() => remove(chosenOnes)}
            onNone={chooseNone}
          />
        )}
        {/* Within, so that files can be dropped on it too. */}
        <DrawerDialogs
          dialogs={dialogs}
          actions={actions}
          files={files}
          folders={folders}
          search={room.search}
          onChooseFiles={open}
          onStored={() => void changed()}
          onMerged={chooseNone}
        />
        <OnAnotherPicture from={used} onClose={() => setUsed(null)} />
        {isDragActive && <DropNotice>Let go, and look them over.</DropNotice>}
      </div>
      <DragOverlay dropAnimation={null}>
        {dragged !== null && (
          <p className="w-64 truncate border border-ink bg-sheet px-3 py-2 font-serif text-lg">
            {dragged}
          </p>
        )}
      </DragOverlay>
    </DndContext>
  );
}
