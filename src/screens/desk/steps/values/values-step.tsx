import type { Side } from '@/core/measure/light-and-shadow';
import { EMPTY_HAND, type DeskState } from '../../desk-store';
import { key } from '../../shortcut';
import type { DeskStep } from '../../step';
import { stepViewIn } from '../../view';
import { useValuesOverlay } from './values-overlay';
import { ValuesPanel } from './values-panel';
import { valuesView, type Lens } from './values-view';

declare module '../../extension-points' {
  interface FocusKinds {
    zone: { index: number };
    side: { side: Side };
    misled: { family: string };
  }
}

/** Takes up a tool that corrects light and shadow, or puts it down; from elsewhere it opens the two sides. */
const drawLight = (tool: 'brush' | 'lasso') => (state: DeskState) => {
  const { step } = valuesView;
  const isOpen = state.view.step === step && stepViewIn(state.views, valuesView).tab === 'light';
  if (!isOpen) {
    state.look({ step });
    state.lookIn(valuesView, { tab: 'light', lens: null });
  }
  state.set({ ...EMPTY_HAND, tool: isOpen && state.tool === tool ? 'look' : tool });
};

const see = (lens: Lens) => (state: DeskState) => {
  state.look({ step: valuesView.step });
  state.lookIn(valuesView, { tab: 'zones', lens });
  state.set(EMPTY_HAND);
};

/** The picture in values alone. */
export const valuesStep: DeskStep = {
  id: valuesView.step,
  title: 'Values',
  letter: 'v',
  Panel: ValuesPanel,
  useOverlay: useValuesOverlay,
  view: valuesView,
  veils: {
    zone: ({ index }, { document }) => ({ kind: 'zone', index, settings: document.values }),
    side: ({ side }, { document }) => ({
      kind: 'side',
      side,
      squint: document.values.squint,
      corrections: document.lightAndShadow.corrections,
    }),
    misled: ({ family }, { scaleStep }) => ({ kind: 'misled', family, steps: scaleStep }),
  },
  keys: [
    key('G', 'See the greys', see('greys')),
    key('Q', 'Squint', see('squint')),
    key('Z', 'See the zones', see('zones')),
    key('B', 'Brush: light or shadow; what is left alone', drawLight('brush')),
    key('A', 'Loop: light or shadow; what is left alone', drawLight('lasso')),
    key('X', 'Light for shadow, shadow for light', ({ brush, set }) =>
      set({ brush: { ...brush, side: brush.side === 'light' ? 'shadow' : 'light' } }),
    ),
  ],
  stateOf: ({ values }) => String(values.zones),
};
