'use client';

import { useDraggable, useDroppable } from '@dnd-kit/core';
import { format } from 'date-fns';
import { Ellipsis, GripVertical, Star } from 'lucide-react';
import Link from 'next/link';
import type { FoundLibrary } from '@/contracts/library-search';
import { Button } from '@/ui/button';
import { Menu } from '@/ui/menu';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { capital, several } from '@/ui/words';

export interface RowActions {
  open: (library: FoundLibrary) => void;
  favour: (library: FoundLibrary) => void;
  duplicate: (library: FoundLibrary) => void;
  exportLibrary: (library: FoundLibrary) => void;
  /** Puts its colours on a picture. */
  use: (library: FoundLibrary) => void;
  moveTo: (library: FoundLibrary) => void;
  remove: (library: FoundLibrary) => void;
}

interface Props {
  library: FoundLibrary;
  /** Where it lies, if that is not plain from where one looks. */
  folder: string | null;
  chosen: boolean;
  /** Whether it can be put between others. */
  ordering: boolean;
  onChoose: () => void;
  actions: RowActions;
}

/** A library among others: its name, its stave with what answers marked, and what can be done with it. */
export function LibraryRow({ library, folder, chosen, ordering, onChoose, actions }: Props) {
  const { settings } = useSettings();
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({
    id: library.id,
    data: { name: library.name },
  });
  const { setNodeRef: setDrop, isOver } = useDroppable({
    id: `before ${library.id}`,
    disabled: !ordering,
    data: { before: library.id },
  });
  const { hits, swatches } = library;
  const marked = new Set(hits);
  const named = swatches.filter(({ id }) => marked.has(id)).map(({ name }) => name);
  return (
    <div
      ref={setDrop}
      className={`flex items-stretch border-b bg-panel ${isDragging ? 'opacity-40' : ''} ${isOver ? 'border-t-4 border-t-ink' : ''}`}
    >
      <div className="flex w-10 shrink-0 flex-col items-center justify-center">
        <button
          ref={setNodeRef}
          type="button"
          {...attributes}
          {...listeners}
          aria-label={`Drag ${library.name}`}
          className="flex h-10 w-10 cursor-grab touch-none items-center justify-center text-soft hover:text-ink max-sm:hidden"
        >
          <GripVertical size={18} aria-hidden />
        </button>
        <label className="flex h-10 w-10 items-center justify-center">
          <input
            type="checkbox"
            aria-label={`Choose ${library.name}`}
            checked={chosen}
            onChange={onChoose}
            className="h-5 w-5 accent-ink"
          />
        </label>
      </div>
      <Link
        href={`/drawers/${library.id}${hits.length > 0 ? `?swatch=${hits[0]}` : ''}`}
        className="grid min-w-0 grow gap-x-6 gap-y-2 py-2.5 pr-1 hover:bg-faint md:grid-cols-[minmax(0,17rem)_minmax(0,1fr)]"
      >
        <div className="min-w-0">
          <h2 className="line-clamp-2 font-serif text-xl leading-tight break-words">
            {library.name}
          </h2>
          {library.note && <p className="line-clamp-1 text-[15px] leading-snug">{library.note}</p>}
          <p className="line-clamp-2 text-sm text-soft">
            {[
              ...(folder ? [folder] : []),
              several(library.size, 'swatch', 'swatches'),
              ...library.tags,
              format(new Date(library.updatedAt), 'd MMM yyyy'),
            ].join(' · ')}
          </p>
        </div>
        <div className="min-w-0">
          <div className="bg-sheet">
            <Stave
              swatches={swatches}
              scale={settings.scale}
              height={76}
              label={staveWords(swatches)}
              marked={hits.length > 0 ? marked : undefined}
            />
          </div>
          {named.length > 0 && (
            <p className="line-clamp-1 text-sm">
              {capital(several(hits.length, 'answers', 'answer'))}: {named.join(', ')}
            </p>
          )}
        </div>
      </Link>
      <div className="flex flex-col items-center justify-center">
        <Button
          weight="quiet"
          aria-pressed={library.favourite}
          aria-label={`Favourite: ${library.name}`}
          onClick={() => actions.favour(library)}
        >
          <Star size={20} aria-hidden fill={library.favourite ? 'currentColor' : 'none'} />
        </Button>
        <Menu
          trigger={
            <Button weight="quiet" aria-label={`More for ${library.name}`}>
              <Ellipsis size={20} aria-hidden />
            </Button>
          }
          items={[
            { title: 'Open', onSelect: () => actions.open(library) },
            { title: 'Export …', onSelect: () => actions.exportLibrary(library) },
            { title: 'On another picture …', onSelect: () => actions.use(library) },
            { title: 'Duplicate', onSelect: () => actions.duplicate(library) },
            { title: 'Put in a folder …', onSelect: () => actions.moveTo(library) },
            { title: 'Into the bin', onSelect: () => actions.remove(library) },
          ]}
        />
      </div>
    </div>
  );
}
