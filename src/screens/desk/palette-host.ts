'use client';

import { useMemo } from 'react';
import type { PaletteHost, PaletteState, Selection } from '@/palette/host';
import { useDeskStore, useDocument, type DeskState, type DeskStore } from './desk-store';
import { useAnswer } from './use-answer';
import type { PaletteActions } from './use-palette';

/** The study on the Desk as what the palette's tools work on. */
export function usePaletteHostOfDesk({ change, remove }: PaletteActions): PaletteHost {
  const store = useDeskStore();
  return useMemo(
    () => ({
      store: stateOf(store),
      change,
      remove,
      select: (part) => store.getState().set(attentionOf(part)),
      hasPicture: true,
      useZoneMeans,
      useReach,
    }),
    [store, change, remove],
  );
}

const useReach: PaletteHost['useReach'] = (colours, wheel) =>
  useAnswer<'reach'>(colours && { kind: 'reach', colours: [...colours], wheel });

function useZoneMeans(): readonly number[] | null {
  const settings = useDocument((document) => document.values);
  const { value } = useAnswer<'values'>({ kind: 'values', settings, quick: false });
  return value?.zones.filter(({ share }) => share > 0).map(({ mean }) => mean) ?? null;
}

/** What is pointed at on the Desk may be other things than swatches. */
function attentionOf({ hovered, pinned, ...rest }: Partial<Selection>): Partial<DeskState> {
  const focusOf = (id: string | null) => id && ({ kind: 'swatch', id } as const);
  return {
    ...rest,
    ...(hovered !== undefined && { hovered: focusOf(hovered) || null }),
    ...(pinned !== undefined && { pinned: focusOf(pinned) || null }),
  };
}

function stateOf(store: DeskStore): PaletteHost['store'] {
  const state = ({ history, hovered, pinned, ...rest }: DeskState): PaletteState => ({
    document: history.present,
    selected: rest.selected,
    chosen: rest.chosen,
    choosing: rest.choosing,
    hovered: hovered?.kind === 'swatch' ? hovered.id : null,
    pinned: pinned?.kind === 'swatch' ? pinned.id : null,
  });
  return {
    getState: () => state(store.getState()),
    getInitialState: () => state(store.getInitialState()),
    subscribe: (listen) => store.subscribe((now, before) => listen(state(now), state(before))),
  };
}
