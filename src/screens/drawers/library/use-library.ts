'use client';

import { useEffect, useState } from 'react';
import { createStore, type StoreApi } from 'zustand';
import {
  libraryContentSchema,
  librarySchema,
  readLibraryContent,
  type Library,
  type LibraryContent,
} from '@/contracts/library';
import type { Selection } from '@/palette/host';
import { documentState, type DocumentState } from '@/ui/sync/document-store';
import type { Saved } from '@/ui/sync/saver';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { call } from '@/ui/api';
import { keepSaved } from '@/ui/sync/keep-saved';
import { mergeLibraries } from './merge-libraries';

export interface LibraryState extends DocumentState<LibraryContent>, Selection {
  set: (part: Partial<Selection>) => void;
}
export type LibraryStore = StoreApi<LibraryState>;

/** A library's content with its history and what is selected of it; it saves itself and merges what another window saved. */
export function useLibrary(opened: Library, selected: string | null): LibraryStore {
  // What the page was opened with: a later rendering of it knows less than the store does.
  const [library] = useState(opened);
  const [store] = useState(() =>
    createStore<LibraryState>((set) => ({
      ...documentState(contentOf(library), mergeLibraries, set),
      selected,
      chosen: [],
      choosing: false,
      hovered: null,
      pinned: null,
      set: (part) => set(part),
    })),
  );
  useEffect(
    () =>
      keepSaved<LibraryContent>(store, {
        name: `library:${library.id}`,
        save: (basedOn, content, options) =>
          call(endpoints.saveLibrary, { id: library.id, body: { basedOn, content } }, options),
        fetch: async () => savedOf(await call(endpoints.getLibrary, { id: library.id })),
        start: savedOf(library),
        schema: libraryContentSchema,
        read: readLibraryContent,
        merge: mergeLibraries,
        newer: librarySchema.transform(savedOf),
      }),
    [library, store],
  );
  return store;
}

function savedOf(library: Library): Saved<LibraryContent> {
  return { revision: library.revision, value: contentOf(library) };
}

function contentOf({ name, note, tags, swatches, sets, target }: Library): LibraryContent {
  return { name, note, tags, swatches, sets, target };
}
