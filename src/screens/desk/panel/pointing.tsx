'use client';

import type { ReactNode } from 'react';
import { pointing } from '@/ui/pointing';
import { useDesk, useDeskStore } from '../desk-store';
import { sameFocus, type Focus } from '../extension-points';

/**
 * A sentence, row or bar that speaks of a part of the picture: pointed at, that part stays and the
 * rest steps back; pressed, it stays so.
 */
export function Pointing({
  focus,
  className = '',
  children,
}: {
  /** Null where there is no place to lead to. */
  focus: Focus | null;
  className?: string;
  children: ReactNode;
}) {
  const pinned = useDesk((state) => focus !== null && sameFocus(state.pinned, focus));
  const { set } = useDeskStore().getState();
  return (
    <button
      type="button"
      aria-pressed={pinned}
      {...pointing(
        () => set({ hovered: focus }),
        () => set({ hovered: null }),
      )}
      onClick={() => set({ pinned: pinned ? null : focus })}
      className={`min-h-10 w-full text-left hover:bg-faint ${pinned ? 'font-semibold underline' : ''} ${className}`}
    >
      {children}
    </button>
  );
}
