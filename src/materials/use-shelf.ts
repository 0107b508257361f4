'use client';

import { useEffect, useState } from 'react';
import { createStore, type StoreApi } from 'zustand';
import { endpoints } from '@/contracts/endpoints/endpoints';
import {
  readShelf,
  shelfContentSchema,
  shelfSchema,
  type Shelf,
  type ShelfContent,
} from '@/contracts/shelf';
import { call } from '@/ui/api';
import { documentState, type DocumentState } from '@/ui/sync/document-store';
import { keepSaved } from '@/ui/sync/keep-saved';
import { mergeOf } from '@/ui/sync/merge';

export type ShelfStore = StoreApi<DocumentState<ShelfContent>>;

const mergeShelves = mergeOf(shelfContentSchema);

const savedOf = ({ revision, content }: Shelf) => ({ revision, value: content });

/** The shelf with its history; it saves itself and merges what another window saved. */
export function useShelf(opened: Shelf): ShelfStore {
  // What the page was opened with: a later rendering of it knows less than the store does.
  const [shelf] = useState(opened);
  const [store] = useState(() =>
    createStore<DocumentState<ShelfContent>>((set) =>
      documentState(shelf.content, mergeShelves, set),
    ),
  );
  useEffect(
    () =>
      keepSaved<ShelfContent>(store, {
        name: 'shelf',
        save: (basedOn, content, options) =>
          call(endpoints.saveShelf, { body: { basedOn, content } }, options),
        fetch: async () => savedOf(await call(endpoints.getShelf, {})),
        start: savedOf(shelf),
        schema: shelfContentSchema,
        read: readShelf,
        merge: mergeShelves,
        newer: shelfSchema.transform(savedOf),
      }),
    [shelf, store],
  );
  return store;
}
