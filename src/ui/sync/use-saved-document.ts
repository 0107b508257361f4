'use client';

import { useEffect, useState } from 'react';
import { createStore, type StoreApi } from 'zustand';
import { documentState, type DocumentState } from './document-store';
import { keepSaved, type SavingOptions } from './keep-saved';
import type { Saved } from './saver';

export type SavedDocumentStore<T> = StoreApi<DocumentState<T>>;

/** A document as endpoints answer it. */
export interface Revised<T> {
  revision: number;
  content: T;
}

export const savedOf = <T>({ revision, content }: Revised<T>): Saved<T> => ({
  revision,
  value: content,
});

/**
 * A document with its history; it saves itself, merges what another window saved, and is kept in the browser while no
 * server answers. What it was opened with counts: a later rendering knows less than the store does.
 */
export function useSavedDocument<T>(
  opened: Revised<T>,
  options: Omit<SavingOptions<T>, 'start'>,
): SavedDocumentStore<T> {
  const [saving] = useState(() => ({ ...options, start: savedOf(opened) }));
  const [store] = useState(() =>
    createStore<DocumentState<T>>((set) => documentState(saving.start.value, saving.merge, set)),
  );
  useEffect(() => keepSaved<T>(store, saving), [store, saving]);
  return store;
}
