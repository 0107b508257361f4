import { useEffect, useRef, type RefObject } from 'react';

/** A row that comes into sight when it is opened: it may be opened from the tray. */
export function useShownWhenOpen(isOpen: boolean): RefObject<HTMLLIElement | null> {
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (isOpen) row.current?.scrollIntoView({ block: 'nearest' });
  }, [isOpen]);
  return row;
}
