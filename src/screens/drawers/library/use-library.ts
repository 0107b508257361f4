'use client';

import { useEffect, useState } from 'react';
import { createStore, useStore } from 'zustand';
import {
  libraryContentSchema,
  librarySchema,
  type Library,
  type LibraryContent,
} from '@/contracts/library';
import { documentState, type DocumentState } from '@/ui/sync/document-store';
import { keepSaved } from '@/ui/sync/keep-saved';

const answer = librarySchema.transform((library) => ({
  revision: library.revision,
  value: contentOf(library),
}));

/** A library's content with its history; it saves itself and merges what another window saved. */
export function useLibrary(opened: Library): DocumentState<LibraryContent> {
  // What the page was opened with: a later rendering of it knows less than the store does.
  const [library] = useState(opened);
  const [store] = useState(() =>
    createStore<DocumentState<LibraryContent>>((set) => documentState(contentOf(library), set)),
  );
  useEffect(
    () =>
      keepSaved<LibraryContent>(store, {
        name: `library:${library.id}`,
        path: `/api/libraries/${library.id}`,
        start: { revision: library.revision, value: contentOf(library) },
        schema: libraryContentSchema,
        bodyOf: (basedOn, content) => ({ basedOn, content }),
        answer,
      }),
    [library, store],
  );
  return useStore(store);
}

function contentOf({ name, note, tags, swatches }: Library): LibraryContent {
  return { name, note, tags, swatches };
}
