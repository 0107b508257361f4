'use client';

import { createContext, useContext } from 'react';
import { createStore, useStore, type StoreApi } from 'zustand';
import type { IntensityWord } from '@/core/colour/intensity';
import type { Side } from '@/core/measure/light-and-shadow';
import type { StudyDocument } from '@/contracts/study';
import { documentState, type DocumentState } from '@/ui/sync/document-store';
import type { View } from './view';

export type Tool = 'look' | 'pick' | 'neutral' | 'crop' | 'brush' | 'lasso' | 'region';
export interface Point {
  x: number;
  y: number;
}

/** The part of the picture that a sentence, bar or swatch speaks of. */
export type Focus =
  | { kind: 'zone'; index: number }
  | { kind: 'swatch'; id: string }
  | { kind: 'side'; side: Side }
  | { kind: 'misled'; family: string }
  | { kind: 'masses'; which: readonly number[] }
  | { kind: 'hue'; from: number; to: number }
  | { kind: 'family'; index: number }
  | { kind: 'word'; word: IntensityWord }
  | { kind: 'hidden'; index: number }
  | { kind: 'tone'; value: readonly [number, number]; chroma: readonly [number, number] }
  /** In fractions of the framed picture, the radius a share of its diagonal. */
  | { kind: 'place'; x: number; y: number; radius: number };

/** What the brush and the lasso give what they cover to, and half the brush's width as a share of the diagonal. */
export interface Brush {
  side: Side;
  radius: number;
}

export interface DeskState extends DocumentState<StudyDocument> {
  view: View;
  tool: Tool;
  /** The pointer (or the keyboard's cursor) on the framed picture, in fractions of it. */
  pointer: Point | null;
  hovered: Focus | null;
  pinned: Focus | null;
  selected: string | null;
  /** All that are selected together, the first among them; one alone is in `selected` only. */
  chosen: readonly string[];
  /** The swatches of a limited palette whose reach is asked. */
  limited: readonly string[];
  /** Whether a tap adds to what is chosen, as a held Shift does. */
  choosing: boolean;
  originalHeld: boolean;
  /** Whether a guess is waited for: till then no reading is shown. */
  guessing: boolean;
  brush: Brush;
  /** Whether a hand moves what the picture follows: till it rests, the picture is drawn at half the size. */
  sliding: boolean;
  /** Says that the hand has moved. */
  slide: () => void;

  look: (part: Partial<View>) => void;
  set: (
    part: Partial<
      Pick<
        DeskState,
        | 'tool'
        | 'pointer'
        | 'hovered'
        | 'pinned'
        | 'selected'
        | 'chosen'
        | 'choosing'
        | 'limited'
        | 'originalHeld'
        | 'guessing'
        | 'brush'
      >
    >,
  ) => void;
}

export type DeskStore = StoreApi<DeskState>;

/** Milliseconds without a move after which a hand rests. */
const RESTS_AFTER = 150;

/** All that one open Desk holds: the document with its history, and how it is being looked at. */
export function createDeskStore(document: StudyDocument, view: View): DeskStore {
  let resting: ReturnType<typeof setTimeout> | undefined;
  return createStore<DeskState>((set) => ({
    ...documentState(document, set),
    view,
    tool: 'look',
    pointer: null,
    hovered: null,
    pinned: null,
    selected: null,
    chosen: [],
    choosing: false,
    limited: [],
    originalHeld: false,
    guessing: false,
    brush: { side: 'shadow', radius: 0.02 },
    sliding: false,
    slide: () => {
      clearTimeout(resting);
      resting = setTimeout(() => set({ sliding: false }), RESTS_AFTER);
      set({ sliding: true });
    },
    look: (part) => set(({ view: was }) => ({ view: { ...was, ...part } })),
    set: (part) => set(part),
  }));
}

/** What is selected after a swatch was touched: it alone, or it added to or taken from the others. */
export function selectionAfter(
  { selected, chosen }: Pick<DeskState, 'selected' | 'chosen'>,
  id: string,
  adding: boolean,
): Pick<DeskState, 'selected' | 'chosen'> {
  if (!adding) return { selected: id, chosen: [] };
  const were = chosen.length > 0 ? chosen : selected ? [selected] : [];
  const now = were.includes(id) ? were.filter((one) => one !== id) : [...were, id];
  return now.length > 1
    ? { selected: now[0], chosen: now }
    : { selected: now[0] ?? null, chosen: [] };
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

/** Whether two findings speak of the same part. */
export function sameFocus(one: Focus | null, other: Focus): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

export function useDocument<T>(select: (document: StudyDocument) => T): T {
  return useDesk((state) => select(state.history.present));
}
