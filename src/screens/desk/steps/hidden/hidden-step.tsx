import { EMPTY_HAND, type DeskState } from '../../desk-store';
import { letter, type Shortcut } from '../../shortcut';
import type { DeskStep } from '../../step';
import { useHiddenOverlay } from './hidden-overlay';
import { HiddenPanel } from './hidden-panel';
import { hiddenView } from './hidden-view';

declare module '../../extension-points' {
  interface FocusKinds {
    hidden: { index: number };
  }
}

/** Here the brush and the loop leave a part alone. */
const leaveAlone = (name: string, tool: 'brush' | 'lasso'): Shortcut => ({
  matches: letter(name),
  onlyHere: true,
  run: (state) => {
    state.lookIn(hiddenView, { tab: 'leave-alone' });
    state.set({ ...EMPTY_HAND, tool: state.tool === tool ? 'look' : tool });
  },
});

/** Colours that are barely there: found, strengthened, and kept in bounds. */
export const hiddenStep: DeskStep = {
  id: hiddenView.step,
  title: 'Hidden',
  letter: 'h',
  Panel: HiddenPanel,
  useOverlay: useHiddenOverlay,
  view: hiddenView,
  veils: { hidden: ({ index }, { wheel }) => ({ kind: 'hidden', index, wheel }) },
  keys: [leaveAlone('b', 'brush'), leaveAlone('a', 'lasso')],
  serves: {
    strengthen(state: DeskState) {
      state.goTo(hiddenView.step);
      state.lookIn(hiddenView, { tab: 'strengthen' });
    },
  },
  stateOf: ({ hidden: { looks } }) => (looks.length > 0 ? String(looks.length) : ''),
};
