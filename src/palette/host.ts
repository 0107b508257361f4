'use client';

import { createContext, useContext } from 'react';
import { useStore, type StoreApi } from 'zustand';
import type { Oklab } from '@/core/colour/oklab';
import type { Reach } from '@/core/palette/reach';
import type { WheelId } from '@/core/colour/wheel';
import type { TraySwatch } from '@/contracts/study';
import type { HasPalette, PaletteEdit } from '@/study/has-palette';

/** Which swatches are taken up and pointed at. */
export interface Selection {
  selected: string | null;
  /** All that are selected together, the first among them; one alone is in `selected` only. */
  chosen: readonly string[];
  /** Whether a tap adds to what is chosen, as a held Shift does. */
  choosing: boolean;
  /** The swatch under the pointer, and the one that stays pointed at. */
  hovered: string | null;
  pinned: string | null;
}

export interface PaletteState extends Selection {
  document: HasPalette;
}

/** What a palette can make between its colours; null where it is still being worked out. */
export interface ReachAnswer {
  /** `reached` and `beyond` are null where there is no picture to hold against. */
  value: (Omit<Reach, 'reached'> & { reached: number | null }) | null;
  stale: boolean;
}

/** What keeps the palette that the tools work on: a study on the Desk, or a library in the Drawers. */
export interface PaletteHost {
  store: Pick<StoreApi<PaletteState>, 'getState' | 'getInitialState' | 'subscribe'>;
  /** Changes the palette as one step to undo; a refusal is shown, and changes nothing: false. */
  change: (edit: PaletteEdit, key?: string) => boolean;
  remove: (ids: Iterable<string>) => void;
  select: (part: Partial<Selection>) => void;
  /** What locking keeps a swatch from: being extracted anew. Nothing does that where there is no picture. */
  hasPicture: boolean;
  /** Mean values of the picture's zones, from dark to light; null where there are none. */
  useZoneMeans: () => readonly number[] | null;
  /** Lights of this picture by which colours can be derived: its kept moods. */
  useLights: () => readonly { name: string; warmth: number }[];
  /** The colours that the place of a swatch is made of, the largest first; none where there is no place to look at. */
  useParts: (swatch: TraySwatch) => TraySwatch['components'];
  /** What some colours can make; `colours` is null for nothing. */
  useReach: (colours: readonly Oklab[] | null, wheel: WheelId) => ReachAnswer;
}

/** Another store as that of a palette: what `read` makes of its state. */
export function paletteStoreOf<T>(
  { getState, getInitialState, subscribe }: Pick<StoreApi<T>, keyof PaletteHost['store']>,
  read: (state: T) => PaletteState,
): PaletteHost['store'] {
  return {
    getState: () => read(getState()),
    getInitialState: () => read(getInitialState()),
    subscribe: (listen) => subscribe((now, before) => listen(read(now), read(before))),
  };
}

export const PaletteHostContext = createContext<PaletteHost | null>(null);

export function usePaletteHost(): PaletteHost {
  const host = useContext(PaletteHostContext);
  if (!host) throw new Error('usePaletteHost outside a palette');
  return host;
}

export function usePaletteState<T>(select: (state: PaletteState) => T): T {
  return useStore(usePaletteHost().store, select);
}

export const useSwatches = () => usePaletteState(({ document }) => document.palette.swatches);

/** What is selected after a swatch was touched: it alone, or it added to or taken from the others. */
export function selectionAfter(
  { selected, chosen }: Pick<Selection, 'selected' | 'chosen'>,
  id: string,
  adding: boolean,
): Pick<Selection, 'selected' | 'chosen'> {
  if (!adding) return { selected: id, chosen: [] };
  const were = chosen.length > 0 ? chosen : selected ? [selected] : [];
  const now = were.includes(id) ? were.filter((one) => one !== id) : [...were, id];
  return now.length > 1
    ? { selected: now[0], chosen: now }
    : { selected: now[0] ?? null, chosen: [] };
}
