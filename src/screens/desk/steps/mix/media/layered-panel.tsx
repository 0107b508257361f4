'use client';

import type { ComponentType } from 'react';
import type { LayeredMedium } from '@/core/mixing/medium-recipe';
import { InksPanel } from './inks-panel';
import type { MediumProps } from './medium-props';
import { PencilsPanel } from './pencils-panel';
import { ScreenPanel } from './screen-panel';
import { SticksPanel } from './sticks-panel';
import { WashesPanel } from './washes-panel';

const PANELS: Readonly<Record<LayeredMedium, ComponentType<MediumProps>>> = {
  sticks: SticksPanel,
  pencils: PencilsPanel,
  inks: InksPanel,
  washes: WashesPanel,
  screen: ScreenPanel,
};

/** Each colour of the palette in a medium that is laid in layers. */
export function LayeredPanel({ medium, ...props }: MediumProps & { medium: LayeredMedium }) {
  const Panel = PANELS[medium];
  return <Panel {...props} />;
}
