'use client';

import { useState } from 'react';
import type { Library } from '@/contracts/library';
import { LOOSE, type Folder, type LibrarySearch } from '@/contracts/library-search';
import { offerUndo, say, showError } from '@/ui/notices';
import { list } from '@/ui/words';
import { FolderDialog } from './folder-dialog';
import { ExportDialog } from './transfer/export-dialog';
import { ImportDialog } from './transfer/import-dialog';
import type { ImportFiles } from './transfer/import-files';
import { MergeDialog } from './two/merge-dialog';
import type { DrawerActions } from './use-drawer-actions';

type Named = readonly { id: string; name: string }[];

/** Which dialogs of the Drawers are open, and with what. */
export function useDrawerDialogs() {
  const [importing, setImporting] = useState(false);
  const [exported, setExported] = useState<Named | 'all'>([]);
  const [moved, setMoved] = useState<readonly string[]>([]);
  const [pair, setPair] = useState<readonly [Library, Library] | null>(null);
  return {
    importing,
    setImporting,
    exported,
    setExported,
    moved,
    setMoved,
    pair,
    openMerge: (fetched: Promise<Library[]>) =>
      fetched.then(([one, other]) => setPair([one, other]), showError),
    closeMerge: () => setPair(null),
  };
}

interface Props {
  dialogs: ReturnType<typeof useDrawerDialogs>;
  actions: DrawerActions;
  files: ImportFiles;
  folders: readonly Folder[];
  search: LibrarySearch;
  onChooseFiles: () => void;
  onStored: () => void;
  onMerged: () => void;
}

/** The dialogs of the Drawers: import, export, move to a folder, merge two. */
export function DrawerDialogs(props: Props) {
  const { dialogs, actions, files, folders, search, onChooseFiles, onStored, onMerged } = props;
  const { importing, setImporting, exported, setExported, moved, setMoved, pair } = dialogs;
  const inFolder = search.folder !== null && search.folder !== LOOSE ? search.folder : null;
  return (
    <>
      <ImportDialog
        open={importing}
        files={files}
        folderId={inFolder}
        onChooseFiles={onChooseFiles}
        onDone={(names) => {
          setImporting(false);
          say(storedWords(names));
          onStored();
        }}
        onStored={onStored}
        onClose={() => setImporting(false)}
      />
      <ExportDialog libraries={exported} onClose={() => setExported([])} />
      <FolderDialog
        count={moved.length}
        folders={folders}
        onPut={(folderId) => {
          void actions.moveTo(moved, folderId);
          setMoved([]);
        }}
        onClose={() => setMoved([])}
      />
      <MergeDialog
        pair={pair}
        onDone={({ id, name, binned }) => {
          dialogs.closeMerge();
          onMerged();
          onStored();
          offerUndo(`“${name}” was made of the two.`, async () => {
            await actions.unmerge(id, binned);
          });
        }}
        onClose={dialogs.closeMerge}
      />
    </>
  );
}

const MAX_NAMED = 4;

function storedWords(names: readonly string[]): string {
  const named = list(names.slice(0, MAX_NAMED).map((name) => `“${name}”`));
  const verb = names.length > MAX_NAMED ? ' and others are' : names.length > 1 ? ' are' : ' is';
  return `${named}${verb} in the Drawers.`;
}
