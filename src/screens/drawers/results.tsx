'use client';

import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import type { FoundLibrary } from '@/contracts/library-search';
import { LibraryRow, type RowActions } from './library-row';
import type { Found } from './use-search';

const ROW = 118;
/** Rows made ready beyond what is seen. */
const BEYOND = 6;

interface Props {
  found: Found;
  folderOf: (library: FoundLibrary) => string | null;
  chosen: ReadonlySet<string>;
  ordering: boolean;
  onChoose: (library: FoundLibrary) => void;
  onSee: (from: number, to: number) => void;
  actions: RowActions;
}

/** However many libraries there are, only those that are seen are drawn, and fetched. */
export function Results({ found, folderOf, chosen, ordering, onChoose, onSee, actions }: Props) {
  'use no memo';
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  useEffect(() => {
    const place = () => {
      if (list.current) setTop(list.current.getBoundingClientRect().top + window.scrollY);
    };
    place();
    window.addEventListener('resize', place);
    return () => window.removeEventListener('resize', place);
  }, []);
  const rows = useWindowVirtualizer({
    count: found.total,
    estimateSize: () => ROW,
    overscan: BEYOND,
    scrollMargin: top,
    getItemKey: (at) => found.rows[at]?.id ?? at,
  });
  const seen = rows.getVirtualItems();
  const from = seen[0]?.index ?? 0;
  const to = seen.at(-1)?.index ?? 0;
  useEffect(() => onSee(from, to), [onSee, from, to]);
  return (
    <ul
      ref={list}
      aria-label="Libraries"
      className="relative border-t border-ink"
      style={{ height: rows.getTotalSize() }}
    >
      {seen.map(({ index, key, start }) => {
        const library = found.rows[index];
        return (
          <li
            key={key}
            ref={rows.measureElement}
            data-index={index}
            aria-setsize={found.total}
            aria-posinset={index + 1}
            className="absolute inset-x-0 top-0 has-data-[state=open]:z-10"
            style={{ transform: `translateY(${start - top}px)` }}
          >
            {library ? (
              <LibraryRow
                library={library}
                folder={folderOf(library)}
                chosen={chosen.has(library.id)}
                ordering={ordering}
                onChoose={() => onChoose(library)}
                actions={actions}
              />
            ) : (
              <div
                aria-hidden
                className="border-b bg-panel px-12 py-8 text-soft"
                style={{ height: ROW }}
              >
                …
              </div>
            )}
          </li>
        );
      })}
    </ul>
  );
}
