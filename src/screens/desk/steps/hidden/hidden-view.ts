import { addressCodec, oneOf } from '@/ui/address';
import type { StepView } from '../../view';

/** What is done about hidden colours. */
export const HIDDEN_TABS = ['list', 'strengthen', 'leave-alone'] as const;
export type HiddenTab = (typeof HIDDEN_TABS)[number];
/** How the picture is seen meanwhile. */
export const HIDDEN_LENSES = ['strengthened', 'beside', 'greys', 'map', 'picture'] as const;
export type HiddenLens = (typeof HIDDEN_LENSES)[number];

interface HiddenView {
  tab: HiddenTab;
  lens: HiddenLens;
}

export const hiddenView: StepView<HiddenView> = {
  step: 'hidden',
  codec: addressCodec<HiddenView>({
    tab: oneOf('tab', HIDDEN_TABS, 'list', {
      names: ['quest'],
      values: { found: 'list', push: 'strengthen', protect: 'leave-alone' },
    }),
    lens: oneOf('lens', HIDDEN_LENSES, 'strengthened', {
      names: ['sight'],
      values: { pushed: 'strengthened' },
    }),
  }),
};
