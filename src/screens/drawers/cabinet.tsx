'use client';

import { useDroppable } from '@dnd-kit/core';
import { Archive, Ellipsis, FolderOutput, FolderPlus, Star, Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import {
  LOOSE,
  type Folder,
  type LibrarySearch,
  type SavedSearch,
} from '@/contracts/library-search';
import { Button } from '@/ui/button';
import { Menu } from '@/ui/menu';

export interface CabinetActions {
  addFolder: (name: string) => void;
  renameFolder: (folder: Folder, name: string) => void;
  removeFolder: (folder: Folder) => void;
  forgetSearch: (search: SavedSearch) => void;
}

interface Props extends CabinetActions {
  search: LibrarySearch;
  folders: readonly Folder[];
  saved: readonly SavedSearch[];
  counts: { libraries: number; binned: number };
  onChange: (search: LibrarySearch) => void;
  onExportAll: () => void;
}

/** Where libraries lie: all, favourites, folders to drag them into, and searches that were kept. */
export function Cabinet({
  search,
  folders,
  saved,
  counts,
  onChange,
  onExportAll,
  ...actions
}: Props) {
  const [adding, setAdding] = useState(false);
  const [renamed, setRenamed] = useState<string | null>(null);
  const go = (folder: string | null, favourites = false) =>
    onChange({ ...search, folder, favourites });
  const inFolders = folders.reduce((sum, { count }) => sum + count, 0);
  return (
    <nav aria-label="Where they lie" className="flex flex-col text-[15px]">
      <Place
        on={search.folder === null && !search.favourites}
        count={counts.libraries}
        onGo={() => go(null)}
      >
        All libraries
      </Place>
      <Place on={search.favourites} onGo={() => go(null, true)}>
        <Star size={16} aria-hidden /> Favourites
      </Place>
      {folders.map((folder) =>
        renamed === folder.id ? (
          <NameField
            key={folder.id}
            label={`New name for ${folder.name}`}
            start={folder.name}
            onDone={(name) => {
              setRenamed(null);
              if (name && name !== folder.name) actions.renameFolder(folder, name);
            }}
          />
        ) : (
          <Place
            key={folder.id}
            dropId={folder.id}
            on={search.folder === folder.id}
            count={folder.count}
            onGo={() => go(folder.id)}
            menu={
              <Menu
                trigger={
                  <Button weight="quiet" aria-label={`More for the folder ${folder.name}`}>
                    <Ellipsis size={18} aria-hidden />
                  </Button>
                }
                items={[
                  { title: 'Rename', onSelect: () => setRenamed(folder.id) },
                  { title: 'Take the folder away', onSelect: () => actions.removeFolder(folder) },
                ]}
              />
            }
          >
            {folder.name}
          </Place>
        ),
      )}
      {folders.length > 0 && (
        <Place
          dropId={LOOSE}
          on={search.folder === LOOSE}
          count={counts.libraries - inFolders}
          onGo={() => go(LOOSE)}
        >
          <span className="italic">in no folder</span>
        </Place>
      )}
      {adding ? (
        <NameField
          label="Name of the new folder"
          start=""
          onDone={(name) => {
            setAdding(false);
            if (name) actions.addFolder(name);
          }}
        />
      ) : (
        <Button weight="quiet" className="justify-start !px-2" onClick={() => setAdding(true)}>
          <FolderPlus size={18} aria-hidden /> New folder
        </Button>
      )}
      {saved.length > 0 && (
        <h2 className="mt-4 border-b px-2 pb-1 text-sm font-semibold">Kept searches</h2>
      )}
      {saved.map((one) => (
        <Place
          key={one.id}
          on={JSON.stringify(one.search) === JSON.stringify(search)}
          onGo={() => onChange(one.search)}
          menu={
            <Button
              weight="quiet"
              aria-label={`Forget the search ${one.name}`}
              onClick={() => actions.forgetSearch(one)}
            >
              ×
            </Button>
          }
        >
          {one.name}
        </Place>
      ))}
      <div className="mt-4 flex flex-col border-t pt-1">
        <Link href="/drawers/bin" className="flex min-h-10 items-center gap-2 px-2 hover:bg-faint">
          <Trash2 size={16} aria-hidden /> Bin
          <span className="ml-auto text-soft tabular-nums">{counts.binned || ''}</span>
        </Link>
        {counts.libraries > 0 && (
          <Button weight="quiet" className="justify-start !px-2" onClick={onExportAll}>
            <FolderOutput size={16} aria-hidden /> Export all
          </Button>
        )}
        <Link href="/drawers/keep" className="flex min-h-10 items-center gap-2 px-2 hover:bg-faint">
          <Archive size={16} aria-hidden /> Back up and restore
        </Link>
      </div>
    </nav>
  );
}

interface PlaceProps {
  on: boolean;
  count?: number;
  onGo: () => void;
  /** Where libraries can be dropped. */
  dropId?: string;
  menu?: ReactNode;
  children: ReactNode;
}

function Place({ on, count, onGo, dropId, menu, children }: PlaceProps) {
  const { setNodeRef, isOver } = useDroppable({
    id: `folder ${dropId ?? 'none'}`,
    disabled: dropId === undefined,
    data: { folder: dropId === LOOSE ? null : dropId },
  });
  return (
    <div
      ref={setNodeRef}
      className={`flex items-stretch border-l-4 ${on ? 'border-ink' : 'border-transparent'} ${isOver ? 'bg-ink text-sheet' : ''}`}
    >
      <button
        type="button"
        aria-current={on ? 'true' : undefined}
        onClick={onGo}
        className={`flex min-h-10 min-w-0 grow items-center gap-2 px-2 text-left ${isOver ? '' : 'hover:bg-faint'} ${on ? 'font-semibold' : ''}`}
      >
        <span className="flex min-w-0 items-center gap-2 break-words">{children}</span>
        {count !== undefined && (
          <span className={`ml-auto tabular-nums ${isOver ? '' : 'text-soft'}`}>{count}</span>
        )}
      </button>
      {menu}
    </div>
  );
}

function NameField({
  label,
  start,
  onDone,
}: {
  label: string;
  start: string;
  onDone: (name: string) => void;
}) {
  const [name, setName] = useState(start);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        onDone(name.trim());
      }}
    >
      <input
        autoFocus
        aria-label={label}
        value={name}
        maxLength={100}
        onChange={(event) => setName(event.target.value)}
        onBlur={() => onDone(name.trim())}
        onKeyDown={(event) => event.key === 'Escape' && onDone('')}
        className="h-10 w-full border border-ink bg-sheet px-2"
      />
    </form>
  );
}
