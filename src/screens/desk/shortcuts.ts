import type { PointerEvent } from 'react';
import { typing } from '@/ui/typing';
import type { DeskState, DeskStore } from './desk-store';
import { MAX_ZOOM } from './view';

interface Shortcut {
  keys: string;
  does: string;
  /** Whether a key press is this one. */
  matches: (event: KeyboardEvent) => boolean;
  run: (state: DeskState, act: Acts) => void;
}

interface Acts {
  extract: () => void;
  radius: (factor: number) => void;
  help: () => void;
}

const letter = (key: string) => (event: KeyboardEvent) =>
  !event.ctrlKey && !event.metaKey && !event.altKey && event.key.toLowerCase() === key;

const zoom = (factor: number) => (state: DeskState) =>
  state.look({ zoom: Math.min(MAX_ZOOM, Math.max(1, state.view.zoom * factor)) });
const step = (to: DeskState['view']['step']) => (state: DeskState) => {
  state.look({ step: to });
  state.set({ tool: 'look', hovered: null, pinned: null });
};
const lens = (to: DeskState['view']['lens']) => (state: DeskState) => {
  state.look({ step: 'values', topic: 'zones', lens: to });
  state.set({ tool: 'look', hovered: null, pinned: null });
};
const tool = (to: DeskState['tool']) => (state: DeskState) => {
  state.look({ step: 'look' });
  state.set({ tool: state.tool === to ? 'look' : to });
};

/** Takes up a tool that parts light from shadow, or puts it down. */
const corrector = (to: 'brush' | 'lasso') => (state: DeskState) => {
  // In Hidden the same tools keep a part from being pushed.
  if (state.view.step === 'hidden') {
    state.look({ quest: 'protect' });
    return state.set({ tool: state.tool === to ? 'look' : to, pinned: null, hovered: null });
  }
  const isUp = state.view.step === 'values' && state.view.topic === 'light';
  if (!isUp) state.look({ step: 'values', topic: 'light', lens: 'sides' });
  state.set({ tool: isUp && state.tool === to ? 'look' : to, pinned: null, hovered: null });
};

/** One letter for each step and tool. The sheet under ? is made from this list. */
export const SHORTCUTS: readonly Shortcut[] = [
  { keys: 'L', does: 'Look', matches: letter('l'), run: step('look') },
  { keys: 'V', does: 'Values', matches: letter('v'), run: step('values') },
  { keys: 'K', does: 'Colours', matches: letter('k'), run: step('colours') },
  { keys: 'H', does: 'Hidden', matches: letter('h'), run: step('hidden') },
  { keys: 'P', does: 'Palette', matches: letter('p'), run: step('palette') },
  { keys: 'C', does: 'Crop', matches: letter('c'), run: tool('crop') },
  { keys: 'N', does: 'Neutral point', matches: letter('n'), run: tool('neutral') },
  { keys: 'G', does: 'See the greys', matches: letter('g'), run: lens('greys') },
  { keys: 'Q', does: 'Squint', matches: letter('q'), run: lens('squint') },
  { keys: 'Z', does: 'See the zones', matches: letter('z'), run: lens('zones') },
  {
    keys: 'B',
    does: 'Brush: light or shadow; what is kept',
    matches: letter('b'),
    run: corrector('brush'),
  },
  {
    keys: 'A',
    does: 'Loop: light or shadow; what is kept',
    matches: letter('a'),
    run: corrector('lasso'),
  },
  {
    keys: 'X',
    does: 'Light for shadow, shadow for light',
    matches: letter('x'),
    run: (state) =>
      state.set({
        brush: { ...state.brush, side: state.brush.side === 'light' ? 'shadow' : 'light' },
      }),
  },
  {
    keys: 'W',
    does: 'Wipe',
    matches: letter('w'),
    run: (state) => state.look({ wipe: state.view.wipe === null ? 0.5 : null }),
  },
  { keys: 'E', does: 'Extract again', matches: letter('e'), run: (_, act) => act.extract() },
  {
    keys: '[',
    does: 'Read a smaller area',
    matches: letter('['),
    run: (_, act) => act.radius(1 / 1.25),
  },
  {
    keys: ']',
    does: 'Read a larger area',
    matches: letter(']'),
    run: (_, act) => act.radius(1.25),
  },
  {
    keys: '+',
    does: 'Nearer',
    matches: (event) => letter('+')(event) || letter('=')(event),
    run: zoom(1.4),
  },
  { keys: '−', does: 'Farther', matches: letter('-'), run: zoom(1 / 1.4) },
  {
    keys: '0',
    does: 'The whole picture',
    matches: letter('0'),
    run: (state) => state.look({ zoom: 1, centre: { x: 0.5, y: 0.5 } }),
  },
  {
    keys: 'Esc',
    does: 'Put the tool down',
    matches: letter('escape'),
    run: (state) => state.set({ tool: 'look', pinned: null, selected: null, chosen: [] }),
  },
  { keys: '?', does: 'This sheet', matches: letter('?'), run: (_, act) => act.help() },
];

/** Listens for shortcuts until the returned function is called. O shows the original while it is down. */
export function listen(store: DeskStore, act: Acts): () => void {
  const down = (event: KeyboardEvent) => {
    if (typing(event)) return;
    if (letter('o')(event)) return store.getState().set({ originalHeld: true });
    const shortcut = SHORTCUTS.find((one) => one.matches(event));
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
