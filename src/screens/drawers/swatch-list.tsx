'use client';

import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import type { Swatch } from '@/contracts/library';
import type { SwatchPart } from './swatch-details';
import { SwatchRow } from './swatch-row';

const ROW = 77;

interface Props {
  libraryId: string;
  swatches: readonly Swatch[];
  /** The swatch that is open, and brought into sight at first. */
  opened: string | null;
  chosen: ReadonlySet<string>;
  onOpen: (id: string | null) => void;
  onChoose: (id: string) => void;
  onChange: (id: string, part: SwatchPart) => void;
  onDelete: (swatch: Swatch, at: number) => void;
}

/** The swatches of a library, of which only those that are seen are drawn. */
export function SwatchList({ libraryId, swatches, opened, chosen, ...on }: Props) {
  'use no memo';
  const list = useRef<HTMLOListElement>(null);
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
    count: swatches.length,
    estimateSize: () => ROW,
    overscan: 8,
    scrollMargin: top,
    getItemKey: (at) => swatches[at].id,
  });
  const [first] = useState(opened);
  useEffect(() => {
    const at = swatches.findIndex(({ id }) => id === first);
    if (at > 0 && top > 0) rows.scrollToIndex(at, { align: 'start' });
    // Only when the page opens: later the person scrolls.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [top]);
  return (
    <ol
      ref={list}
      aria-label="Swatches"
      className="relative border-t border-ink"
      style={{ height: rows.getTotalSize() }}
    >
      {rows.getVirtualItems().map(({ index, key, start }) => {
        const swatch = swatches[index];
        return (
          <li
            key={key}
            ref={rows.measureElement}
            data-index={index}
            aria-setsize={swatches.length}
            aria-posinset={index + 1}
            className="absolute inset-x-0 top-0"
            style={{ transform: `translateY(${start - top}px)` }}
          >
            <SwatchRow
              libraryId={libraryId}
              swatch={swatch}
              open={opened === swatch.id}
              chosen={chosen.has(swatch.id)}
              onOpen={(open) => on.onOpen(open ? swatch.id : null)}
              onChoose={() => on.onChoose(swatch.id)}
              onChange={(part) => on.onChange(swatch.id, part)}
              onDelete={() => on.onDelete(swatch, index)}
            />
          </li>
        );
      })}
    </ol>
  );
}
