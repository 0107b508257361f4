import type { Merge } from './merge';
import { amend, begin, change, rebase, redo, undo, type History } from './history';
import type { SaveState } from './saver';

/** A document being worked on: its history, whether it is saved, and the ways to change it. */
export interface DocumentState<T> {
  history: History<T>;
  saveState: SaveState;
  /** An edit is a step to undo; one with the same `key` as the last and soon after it joins that step. */
  change: (edit: (document: T) => T, key?: string) => void;
  /** An edit that follows from the document and is no step of the person's. */
  amend: (edit: (document: T) => T) => void;
  undo: () => void;
  redo: () => void;
  /** Takes in what another window saved, in every step of the history. */
  takeIn: (merged: T, base: T, theirs: T) => void;
  setSaveState: (saveState: SaveState) => void;
}

/** The document's part of a zustand store. */
export function documentState<T>(
  document: T,
  merge: Merge<T>,
  set: (edit: (state: DocumentState<T>) => Partial<DocumentState<T>>) => void,
): DocumentState<T> {
  return {
    history: begin(document),
    saveState: 'saved',
    change: (edit, key) =>
      set(({ history }) => ({
        history: change(history, edit(history.present), key ?? null, Date.now()),
      })),
    amend: (edit) => set(({ history }) => ({ history: amend(history, edit(history.present)) })),
    undo: () => set(({ history }) => ({ history: undo(history) })),
    redo: () => set(({ history }) => ({ history: redo(history) })),
    takeIn: (merged, base, theirs) =>
      set(({ history }) => ({ history: rebase(history, merged, base, theirs, merge) })),
    setSaveState: (saveState) => set(() => ({ saveState })),
  };
}
