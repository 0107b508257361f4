'use client';

import { createContext, useContext } from 'react';
import { createStore, useStore, type StoreApi } from 'zustand';
import type { StudyDocument } from '@/contracts/study';
import type { SaveState } from '@/ui/sync/saver';
import { begin, change, rebase, redo, undo, type History } from './history';
import type { View } from './view';

export type Tool = 'look' | 'pick' | 'neutral' | 'crop';
export interface Point {
  x: number;
  y: number;
}

/** The part of the picture that a sentence, bar or swatch speaks of. */
export type Focus = { kind: 'zone'; index: number } | { kind: 'swatch'; id: string };

export interface DeskState {
  history: History<StudyDocument>;
  saveState: SaveState;
  view: View;
  tool: Tool;
  /** The pointer (or the keyboard's cursor) on the framed picture, in fractions of it. */
  pointer: Point | null;
  hovered: Focus | null;
  pinned: Focus | null;
  selected: string | null;
  originalHeld: boolean;

  change: (edit: (document: StudyDocument) => StudyDocument, key?: string) => void;
  undo: () => void;
  redo: () => void;
  takeIn: (merged: StudyDocument, base: StudyDocument, theirs: StudyDocument) => void;
  look: (part: Partial<View>) => void;
  set: (
    part: Partial<
      Pick<
        DeskState,
        'saveState' | 'tool' | 'pointer' | 'hovered' | 'pinned' | 'selected' | 'originalHeld'
      >
    >,
  ) => void;
}

export type DeskStore = StoreApi<DeskState>;

/** All that one open Desk holds: the document with its history, and how it is being looked at. */
export function createDeskStore(document: StudyDocument, view: View): DeskStore {
  return createStore<DeskState>((set) => ({
    history: begin(document),
    saveState: 'saved',
    view,
    tool: 'look',
    pointer: null,
    hovered: null,
    pinned: null,
    selected: null,
    originalHeld: false,
    change: (edit, key) =>
      set(({ history }) => ({
        history: change(history, edit(history.present), key ?? null, Date.now()),
      })),
    undo: () => set(({ history }) => ({ history: undo(history) })),
    redo: () => set(({ history }) => ({ history: redo(history) })),
    takeIn: (merged, base, theirs) =>
      set(({ history }) => ({ history: rebase(history, merged, base, theirs) })),
    look: (part) => set(({ view: was }) => ({ view: { ...was, ...part } })),
    set: (part) => set(part),
  }));
}

export const DeskContext = createContext<DeskStore | null>(null);

export function useDeskStore(): DeskStore {
  const store = useContext(DeskContext);
  if (!store) throw new Error('useDesk outside a Desk');
  return store;
}

export function useDesk<T>(select: (state: DeskState) => T): T {
  return useStore(useDeskStore(), select);
}

export function useDocument<T>(select: (document: StudyDocument) => T): T {
  return useDesk((state) => select(state.history.present));
}
