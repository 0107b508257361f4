'use client';

import { useMemo } from 'react';
import {
  paletteStoreOf,
  type PaletteHost,
  type PaletteState,
  type Selection,
} from '@/palette/host';
import { useDeskStore, useDocument, type DeskState } from './desk-store';
import { useAnswer } from './use-answer';
import type { PaletteActions } from './use-palette';

/** The study on the Desk as what the palette's tools work on. */
export function usePaletteHostOfDesk({ change, remove }: PaletteActions): PaletteHost {
  const store = useDeskStore();
  return useMemo(
    () => ({
      store: paletteStoreOf(store, stateOf),
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

function stateOf({
  history,
  hovered,
  pinned,
  selected,
  chosen,
  choosing,
}: DeskState): PaletteState {
  return {
    document: history.present,
    selected,
    chosen,
    choosing,
    hovered: hovered?.kind === 'swatch' ? hovered.id : null,
    pinned: pinned?.kind === 'swatch' ? pinned.id : null,
  };
}
