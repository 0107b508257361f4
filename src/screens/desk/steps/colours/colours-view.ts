import { addressCodec, flag, oneOf } from '@/ui/address';
import { placeField, placesField, type Point, type StepView } from '../../view';

/** The tabs of the step. */
export const COLOUR_TABS = ['hues', 'warmth', 'chroma', 'harmony', 'reads-as'] as const;
export type ColourTab = (typeof COLOUR_TABS)[number];

interface ColoursView {
  tab: ColourTab;
  /** The place of the original that the three questions are about. */
  place: Point | null;
  /** Whether the map of temperature lies over the picture. */
  warmthMap: boolean;
  /** Whether touching the picture chooses two places of one colour, one in the light and one in the shadow. */
  choosesPair: boolean;
  /** Those places of the original: none, the first, or both. */
  pair: readonly Point[];
}

export const coloursView: StepView<ColoursView> = {
  step: 'colours',
  codec: addressCodec<ColoursView>({
    tab: oneOf('tab', COLOUR_TABS, 'hues', {
      names: ['aspect'],
      values: { seeming: 'reads-as' },
    }),
    place: placeField('asked'),
    warmthMap: flag('warmth', 'map'),
    choosesPair: flag('pair', 'own'),
    pair: placesField('of-pair', 2),
  }),
};
