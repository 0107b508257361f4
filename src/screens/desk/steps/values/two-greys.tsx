'use client';

import { useSettings } from '@/ui/settings';
import { stepOf } from '@/ui/words';
import { useDesk } from '../../desk-store';
import { TwoSights } from '../../stage/two-sights';
import { useDrawn } from '../../use-drawn';
import { useVeil } from '../../use-lens';

/** The picture in two greys side by side, hatched where they part by more than a step. */
export function TwoGreys() {
  const { settings } = useSettings();
  const step = stepOf(settings.scale);
  const focus = useDesk((state) => state.hovered ?? state.pinned);
  const lightness = useDrawn('lightness', (desk) => desk.greys());
  const brightness = useDrawn('brightness', (desk) => desk.brightness());
  const marks = useDrawn(`marks ${step}`, (desk) => desk.misledMarks(step));
  const veil = useVeil(focus);
  return (
    <TwoSights
      label="Two greys of the picture."
      testId="two-greys"
      titles={['by lightness', 'by brightness']}
      sights={marks ? [lightness, brightness] : [null, null]}
      over={focus?.kind === 'misled' ? veil : marks}
    />
  );
}
