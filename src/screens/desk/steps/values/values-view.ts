import { ZONE_LOOKS } from '@/contracts/study';
import { DEPTH_WORDS, type DepthWord } from '@/core/depth/depth-marks';
import { addressCodec, anyOf, oneOf } from '@/ui/address';
import { placesField, type Point, type StepView } from '../../view';

/** The tabs of the step. */
export const VALUE_TABS = [
  'zones',
  'light',
  'separation',
  'form',
  'depth',
  'focus',
  'greys',
] as const;
export type ValueTab = (typeof VALUE_TABS)[number];

const LENSES = [
  'picture',
  'squint',
  'greys',
  'zones',
  'sides',
  'merging',
  'busy',
  'edges',
  'haze',
] as const;
export type Lens = (typeof LENSES)[number];

/** What can be laid over the picture under each tab. */
export const LENSES_OF: Record<ValueTab, readonly Lens[]> = {
  zones: ['picture', 'squint', 'greys', 'zones'],
  light: ['picture', 'sides'],
  separation: ['picture', 'greys', 'merging'],
  form: ['picture', 'edges'],
  depth: ['picture', 'haze', 'edges'],
  focus: ['picture', 'edges', 'busy'],
  greys: ['picture'],
};
/** How each tab opens. */
const FIRST_LENS: Record<ValueTab, Lens> = {
  zones: 'greys',
  light: 'sides',
  separation: 'picture',
  form: 'picture',
  depth: 'haze',
  focus: 'picture',
  greys: 'picture',
};

interface ValuesView {
  tab: ValueTab;
  /** What was chosen to lie over the picture; null lays what the tab opens with. */
  lens: Lens | null;
  zoneLook: (typeof ZONE_LOOKS)[number];
  /** Two places of the original that are held against each other. */
  pair: readonly Point[];
  /** What a touch says of a mass. */
  touch: DepthWord;
}

export const valuesView: StepView<ValuesView> = {
  step: 'values',
  codec: addressCodec<ValuesView>({
    tab: oneOf('tab', VALUE_TABS, 'zones', {
      names: ['topic'],
      values: { parting: 'separation', brightness: 'greys' },
    }),
    lens: anyOf('lens', LENSES),
    zoneLook: oneOf('as', ZONE_LOOKS, 'greys'),
    pair: placesField('place', 2),
    touch: oneOf('touch', DEPTH_WORDS, 'near'),
  }),
};

/** What lies over the picture: one of the tab's. */
export function lensOf({ tab, lens }: Pick<ValuesView, 'tab' | 'lens'>): Lens {
  return lens && LENSES_OF[tab].includes(lens) ? lens : FIRST_LENS[tab];
}
