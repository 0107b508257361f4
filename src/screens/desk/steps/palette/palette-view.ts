import { addressCodec, oneOf, text, transient } from '@/ui/address';
import { BUILDS, type Build } from '@/palette/build-tab';
import type { StepView } from '../../view';

/** What is done to the palette. */
export const PALETTE_TABS = ['pick', 'duplicates', 'proportions', 'test', 'build'] as const;
export type PaletteTab = (typeof PALETTE_TABS)[number];
/** What of the palette's fit lies over the picture. */
export const TEST_LENSES = ['mapped', 'failing', 'picture'] as const;

interface PaletteView {
  tab: PaletteTab;
  build: Build;
  testLens: (typeof TEST_LENSES)[number];
  /** The library that is tested in place of the tray; none where it is empty. */
  of: string;
  /** The swatches of a limited palette whose reach is shown. */
  limited: readonly string[];
}

export const paletteView: StepView<PaletteView> = {
  step: 'palette',
  codec: addressCodec<PaletteView>({
    tab: oneOf('tab', PALETTE_TABS, 'pick', {
      names: ['craft'],
      values: { take: 'pick', prune: 'duplicates', weigh: 'proportions', fit: 'test' },
    }),
    build: oneOf('build', BUILDS, 'ladder', { values: { follow: 'derived', limit: 'limited' } }),
    testLens: oneOf('fit', TEST_LENSES, 'mapped'),
    of: text('of', 40),
    limited: transient<readonly string[]>([]),
  }),
};
