'use client';

import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState, type ReactNode } from 'react';

/** Entries made ready beyond what is seen. */
const BEYOND = 6;

interface Props {
  label: string;
  count: number;
  /** How tall an entry is, about; each is measured when it is drawn. */
  tall: number;
  keyOf: (at: number) => string | number;
  children: (at: number) => ReactNode;
  /** Says which entries are drawn. */
  onSee?: (from: number, to: number) => void;
  /** The entry that is brought into sight when the page opens, and whenever it becomes another. */
  start?: number;
  /** Where in the window it is brought to; `auto` leaves what is in sight where it is. */
  align?: 'start' | 'auto';
  /** Pixels at the top of the window that lie under something else. */
  covered?: number;
  /** Without a line along its top. */
  isBare?: boolean;
}

/** However many entries there are, only those that are seen stand in the page. */
export function LongList({
  label,
  count,
  tall,
  keyOf,
  children,
  onSee,
  start,
  align = 'start',
  covered = 0,
  isBare,
}: Props) {
  'use no memo';
  const list = useRef<HTMLOListElement>(null);
  const [top, setTop] = useState<number | null>(null);
  useEffect(() => {
    const place = () => {
      if (list.current) setTop(list.current.getBoundingClientRect().top + window.scrollY);
    };
    place();
    // What stands above may grow or fold.
    const watch = new ResizeObserver(place);
    watch.observe(document.body);
    return () => watch.disconnect();
  }, []);
  const entries = useWindowVirtualizer({
    count,
    estimateSize: () => tall,
    overscan: BEYOND,
    scrollMargin: top ?? 0,
    scrollPaddingStart: covered,
    getItemKey: keyOf,
  });
  const seen = entries.getVirtualItems();
  const from = seen[0]?.index ?? 0;
  const to = seen.at(-1)?.index ?? 0;
  useEffect(() => onSee?.(from, to), [onSee, from, to]);
  const placed = top !== null;
  useEffect(() => {
    if (placed && start !== undefined && start > 0) entries.scrollToIndex(start, { align });
    // Only when it becomes another: between, the person scrolls.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [placed, start]);
  return (
    <ol
      ref={list}
      aria-label={label}
      className={`relative ${isBare ? '' : 'border-t border-ink'}`}
      style={{ height: entries.getTotalSize() }}
    >
      {seen.map(({ index, key, start: from }) => (
        <li
          key={key}
          ref={entries.measureElement}
          data-index={index}
          aria-setsize={count}
          aria-posinset={index + 1}
          // A menu that is open lies over the entries after its own.
          className="absolute inset-x-0 top-0 has-data-[state=open]:z-10"
          style={{ transform: `translateY(${from - (top ?? 0)}px)` }}
        >
          {children(index)}
        </li>
      ))}
    </ol>
  );
}
