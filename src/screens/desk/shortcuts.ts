import type { PointerEvent } from 'react';
import { typing } from '@/ui/typing';
import type { DeskState, DeskStore } from './desk-store';
import { key, letter, type DeskActions, type Shortcut } from './shortcut';
import type { DeskStep } from './step';
import { MAX_ZOOM } from './view';

const zoom = (factor: number) => (state: DeskState) =>
  state.look({ zoom: Math.min(MAX_ZOOM, Math.max(1, state.view.zoom * factor)) });

/** What belongs to no step. */
const COMMON: readonly Shortcut[] = [
  key('W', 'Wipe', ({ look, view }) => look({ wipe: view.wipe === null ? 0.5 : null })),
  key('E', 'Extract again', (_, act) => act.extract()),
  key('[', 'Read a smaller area', (_, act) => act.radius(1 / 1.25)),
  key(']', 'Read a larger area', (_, act) => act.radius(1.25)),
  key('+', 'Nearer', zoom(1.4), (event) => letter('+')(event) || letter('=')(event)),
  key('−', 'Farther', zoom(1 / 1.4), letter('-')),
  key('0', 'The whole picture', ({ look }) => look({ zoom: 1, centre: { x: 0.5, y: 0.5 } })),
  key(
    'Esc',
    'Put the tool down',
    ({ set }) => set({ tool: 'look', pinned: null, selected: null, chosen: [] }),
    letter('escape'),
  ),
  key('?', 'This sheet', (_, act) => act.help()),
];

/** One letter for each step and tool: those that go to a step, each step's own, and what belongs to none. */
export function shortcutsOf(steps: readonly DeskStep[]): Shortcut[] {
  return [
    ...steps.map((step) =>
      key(step.letter.toUpperCase(), step.title, (state) => state.goTo(step.id)),
    ),
    ...steps.flatMap((step) => (step.keys ?? []).filter((one) => !one.onlyHere)),
    ...COMMON,
  ];
}

/** The shortcut that a key press is, in the step that is open. */
export function shortcutFor(
  steps: readonly DeskStep[],
  open: string,
  event: KeyboardEvent,
): Shortcut | undefined {
  const here = steps.find(({ id }) => id === open)?.keys?.filter((one) => one.onlyHere) ?? [];
  return [...here, ...shortcutsOf(steps)].find((one) => one.matches(event));
}

/** Listens for shortcuts until the returned function is called. O shows the original while it is down. */
export function listen(store: DeskStore, steps: readonly DeskStep[], act: DeskActions): () => void {
  const down = (event: KeyboardEvent) => {
    if (typing(event)) return;
    if (letter('o')(event)) return store.getState().set({ originalHeld: true });
    const shortcut = shortcutFor(steps, store.getState().view.step, event);
    if (!shortcut) return;
    event.preventDefault();
    shortcut.run(store.getState(), act);
  };
  const up = (event: KeyboardEvent) => {
    if (event.key.toLowerCase() === 'o') store.getState().set({ originalHeld: false });
  };
  const leave = () => store.getState().set({ originalHeld: false });
  window.addEventListener('keydown', down);
  window.addEventListener('keyup', up);
  window.addEventListener('blur', leave);
  return () => {
    window.removeEventListener('keydown', down);
    window.removeEventListener('keyup', up);
    window.removeEventListener('blur', leave);
  };
}

/** The same as holding O, for a finger. */
export function holdOriginal(store: DeskStore) {
  const set = (originalHeld: boolean) => store.getState().set({ originalHeld });
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      set(true);
    },
    onPointerUp: () => set(false),
    onPointerCancel: () => set(false),
  };
}
