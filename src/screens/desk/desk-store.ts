'use client';

import { createContext, useContext } from 'react';
import { createStore, useStore, type StoreApi } from 'zustand';
import type { Side } from '@/core/measure/light-and-shadow';
import { studyDocumentSchema, type StudyDocument } from '@/contracts/study';
import type { Selection } from '@/palette/host';
import { withColoursOfChanges } from '@/study/colour-edits';
import { documentState, type DocumentState } from '@/ui/sync/document-store';
import { mergeOf, type Merge } from '@/ui/sync/merge';
import type { Focus, Tool } from './extension-points';
import { stepViewIn, type DeskView, type Point, type StepView, type StepViews } from './view';

/** What the brush and the lasso give what they cover to, and half the brush's width as a share of the diagonal. */
export interface Brush {
  side: Side;
  radius: number;
}

/** The state of the view and of the tools, which no document stores. */
interface Attention extends Pick<Selection, 'selected' | 'chosen' | 'choosing'> {
  tool: Tool;
  /** The pointer (or the keyboard's cursor) on the framed picture, in fractions of it. */
  pointer: Point | null;
  hovered: Focus | null;
  pinned: Focus | null;
  originalHeld: boolean;
  /** Whether a guess is waited for: till then no reading is shown. */
  guessing: boolean;
  brush: Brush;
}

export interface DeskState extends DocumentState<StudyDocument>, Attention {
  view: DeskView;
  views: StepViews;
  /** Whether a control that the picture follows is being dragged: meanwhile the picture is drawn at half the size. */
  sliding: boolean;
  /** Marks that such a control has moved. */
  slide: () => void;
  /** Changes the view. */
  look: (part: Partial<DeskView>) => void;
  /** Changes a step's part of the view. */
  lookIn: <V extends object>(view: StepView<V>, part: Partial<V>) => void;
  /** Goes to a step, with an empty hand. */
  goTo: (step: string) => void;
  set: (part: Partial<Attention>) => void;
}

export type DeskStore = StoreApi<DeskState>;

const mergeFields = mergeOf(studyDocumentSchema);
/** How the studies of two windows are merged. */
export const mergeStudies: Merge<StudyDocument> = (base, mine, theirs) => {
  const { value, conflicts } = mergeFields(base, mine, theirs);
  return { value: withColoursOfChanges(value), conflicts };
};

/** Milliseconds without a move after which a drag counts as resting. */
const RESTS_AFTER = 150;
/** An empty hand that points at nothing. */
export const EMPTY_HAND = { tool: 'look', hovered: null, pinned: null } as const;

/** All that one open Desk holds: the document with its history, and how it is being looked at. */
export function createDeskStore(
  document: StudyDocument,
  address: { view: DeskView; views: StepViews },
): DeskStore {
  let resting: ReturnType<typeof setTimeout> | undefined;
  return createStore<DeskState>((set) => ({
    ...documentState(document, mergeStudies, set),
    ...address,
    ...EMPTY_HAND,
    pointer: null,
    selected: null,
    chosen: [],
    choosing: false,
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
    lookIn: (view, part) =>
      set(({ views }) => ({
        views: { ...views, [view.step]: { ...stepViewIn(views, view), ...part } },
      })),
    goTo: (step) => set(({ view }) => ({ view: { ...view, step }, ...EMPTY_HAND })),
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

/** A step's part of the view, and how it is changed. */
export function useStepView<V extends object>(
  view: StepView<V>,
): [view: V, look: (part: Partial<V>) => void] {
  const own = useDesk(({ views }) => stepViewIn(views, view));
  const { lookIn } = useDeskStore().getState();
  return [own, (part) => lookIn(view, part)];
}
