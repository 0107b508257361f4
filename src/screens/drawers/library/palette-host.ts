'use client';

import { useMemo } from 'react';
import { readMixes } from '@/core/palette/reach';
import { wheelOf } from '@/core/colour/wheel';
import type { LibraryContent } from '@/contracts/library';
import { paletteStoreOf, type PaletteHost, type PaletteState } from '@/palette/host';
import type { HasPalette } from '@/study/has-palette';
import { editLibrary, paletteOfLibrary } from '@/study/library';
import { removeSwatches } from '@/study/palette-edits';
import { withoutEmptySets } from '@/study/set-edits';
import { offerUndo, showError } from '@/ui/notices';
import { capital, several } from '@/ui/words';
import type { LibraryState, LibraryStore } from './use-library';

/** A library as what the palette's tools work on; there is no picture to it. */
export function paletteHostOf(store: LibraryStore): PaletteHost {
  const change: PaletteHost['change'] = (edit, key) => {
    try {
      store
        .getState()
        .change(
          (content) => editLibrary(content, (palette) => withoutEmptySets(edit(palette))),
          key,
        );
      return true;
    } catch (error) {
      showError(error);
      return false;
    }
  };
  return {
    store: paletteStoreOf(store, paletteReader()),
    change,
    remove: (ids) => {
      const gone = new Set(ids);
      const before = store.getState().history.present;
      const names = before.swatches.filter(({ id }) => gone.has(id)).map(({ name }) => name);
      if (!change((palette) => removeSwatches(palette, gone))) return;
      const after = store.getState().history.present;
      store.getState().set({ selected: null, chosen: [], hovered: null, pinned: null });
      offerUndo(
        names.length === 1
          ? `“${names[0]}” was deleted.`
          : `${capital(several(names.length, 'swatch was', 'swatches were'))} deleted.`,
        () => {
          const { history, undo } = store.getState();
          if (history.present === after) undo();
          else store.getState().change((now) => withReturned(now, before, gone));
        },
      );
    },
    select: (part) => store.getState().set(part),
    hasPicture: false,
    useZoneMeans: () => null,
    useLights: () => NO_LIGHTS,
    useParts: ({ components }) => components,
    useReach: useMixes,
  };
}

/** Puts back what was deleted, at its old place where that still is one. */
function withReturned(
  now: LibraryContent,
  before: LibraryContent,
  gone: ReadonlySet<string>,
): LibraryContent {
  return {
    ...now,
    swatches: before.swatches.reduce(
      (all, swatch, at) =>
        gone.has(swatch.id) && all.every(({ id }) => id !== swatch.id)
          ? all.toSpliced(at, 0, swatch)
          : all,
      now.swatches,
    ),
  };
}

const useMixes: PaletteHost['useReach'] = (colours, wheel) => {
  const key = JSON.stringify(colours);
  const value = useMemo(
    () =>
      key === 'null'
        ? null
        : {
            ...readMixes(JSON.parse(key) as Parameters<typeof readMixes>[0], wheelOf(wheel)),
            reached: null,
            beyond: null,
          },
    [key, wheel],
  );
  return { value, stale: false };
};

/** The same content is the same palette: whoever looks at a part of it is told only of what has changed. */
function paletteReader(): (state: LibraryState) => PaletteState {
  let last: { content: LibraryContent; document: HasPalette } | null = null;
  return ({ history, selected, chosen, choosing, hovered, pinned }) => {
    const content = history.present;
    if (last?.content !== content) last = { content, document: paletteOfLibrary(content) };
    return { document: last.document, selected, chosen, choosing, hovered, pinned };
  };
}

const NO_LIGHTS: ReturnType<PaletteHost['useLights']> = [];
