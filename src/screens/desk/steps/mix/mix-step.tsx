import type { DeskState } from '../../desk-store';
import type { DeskStep } from '../../step';
import { MixPanel } from './mix-panel';
import { useMixOverlay } from './media/mix-overlay';
import { mixView } from './mix-view';

/** Each colour of the palette in one's own paint: recipes, their steps, and what came of them. */
export const mixStep: DeskStep = {
  id: mixView.step,
  title: 'Mix',
  letter: 't',
  Panel: MixPanel,
  useOverlay: useMixOverlay,
  view: mixView,
  serves: {
    'look at a swatch': (state: DeskState) => state.lookIn(mixView, { tab: 'recipes' }),
  },
};
