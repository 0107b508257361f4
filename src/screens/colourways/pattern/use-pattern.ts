'use client';

import { createContext, useContext, useEffect, useState } from 'react';
import { createStore, useStore, type StoreApi } from 'zustand';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { patternContentSchema, readPattern, type PatternContent } from '@/contracts/pattern';
import { patternSchema, type Pattern } from '@/contracts/pattern-drawing';
import { call } from '@/ui/api';
import { documentState, type DocumentState } from '@/ui/sync/document-store';
import { keepSaved } from '@/ui/sync/keep-saved';
import { mergeOf } from '@/ui/sync/merge';

export type PatternStore = StoreApi<DocumentState<PatternContent>>;

const mergePatterns = mergeOf(patternContentSchema);
const savedOf = ({ revision, content }: Pattern) => ({ revision, value: content });

/** A pattern's content with its history; it saves itself and merges what another window saved. */
export function usePatternStore(opened: Pattern): PatternStore {
  // What the page was opened with: a later rendering of it knows less than the store does.
  const [pattern] = useState(opened);
  const [store] = useState(() =>
    createStore<DocumentState<PatternContent>>((set) =>
      documentState(pattern.content, mergePatterns, set),
    ),
  );
  useEffect(
    () =>
      keepSaved<PatternContent>(store, {
        name: `pattern:${pattern.id}`,
        save: (basedOn, content, options) =>
          call(endpoints.savePattern, { id: pattern.id, body: { basedOn, content } }, options),
        fetch: async () => savedOf(await call(endpoints.getPattern, { id: pattern.id })),
        start: savedOf(pattern),
        schema: patternContentSchema,
        read: readPattern,
        merge: mergePatterns,
        newer: patternSchema.transform(savedOf),
      }),
    [pattern, store],
  );
  return store;
}

/** Waits until the server has what is here: it makes sheets and zips of that. Rejected with the signal's reason. */
export function isSaved(store: PatternStore, signal: AbortSignal): Promise<void> {
  return new Promise((resolve, reject) => {
    const look = () => {
      if (store.getState().saveState !== 'saved') return;
      stop();
      resolve();
    };
    const stop = store.subscribe(look);
    signal.addEventListener('abort', () => {
      stop();
      reject(signal.reason as Error);
    });
    look();
  });
}

export const PatternStoreContext = createContext<PatternStore | null>(null);

export function usePatternState(): PatternStore {
  const store = useContext(PatternStoreContext);
  if (!store) throw new Error('usePatternState outside a pattern');
  return store;
}

/** A part of the pattern's content as it stands. */
export function useContent<T>(part: (content: PatternContent) => T): T {
  return useStore(usePatternState(), ({ history }) => part(history.present));
}

/** An edit of the pattern: a step to undo, or part of the one before with the same key. */
export function useChange(): DocumentState<PatternContent>['change'] {
  return usePatternState().getState().change;
}
