'use client';

import type { ReactNode } from 'react';
import { pointing } from '@/ui/pointing';
import { usePaletteHost, usePaletteState } from './host';

/** A row that speaks of a swatch: pointed at, its place in the picture is; pressed, it stays so. */
export function SwatchPointing({
  id,
  className = '',
  children,
}: {
  id: string;
  className?: string;
  children: ReactNode;
}) {
  const { select } = usePaletteHost();
  const pinned = usePaletteState((state) => state.pinned === id);
  return (
    <button
      type="button"
      aria-pressed={pinned}
      {...pointing(
        () => select({ hovered: id }),
        () => select({ hovered: null }),
      )}
      onClick={() => select({ pinned: pinned ? null : id })}
      className={`min-h-10 w-full text-left hover:bg-faint ${pinned ? 'font-semibold underline' : ''} ${className}`}
    >
      {children}
    </button>
  );
}
