import { addressCodec, flag, oneOf, transient } from '@/ui/address';
import type { StepView } from '../../view';

/** How many tubes a recipe may take. */
export const TUBE_LIMITS = ['2', '3', '4'] as const;

interface MixView {
  most: (typeof TUBE_LIMITS)[number];
  black: boolean;
  /** Leaves out what has cadmium. */
  cadmiumFree: boolean;
  /** Tubes of the palette that are left out here. */
  without: readonly string[];
}

export const mixView: StepView<MixView> = {
  step: 'mix',
  codec: addressCodec<MixView>({
    most: oneOf('tubes', TUBE_LIMITS, '4'),
    black: flag('black'),
    cadmiumFree: flag('nocadmium'),
    without: transient<readonly string[]>([]),
  }),
};
