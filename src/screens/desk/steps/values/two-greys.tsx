'use client';

import { useSettings } from '@/ui/settings';
import { stepOf } from '@/core/colour/value-scale';

import { useDesk } from '../../desk-store';
import { TwoPictures } from '../../stage/two-pictures';
import { useDrawn } from '../../use-answer';
import { useVeil } from '../../use-veil';

/** The picture in two greys side by side, hatched where they differ by more than a step. */
export function TwoGreys() {
  const { settings } = useSettings();
  const focus = useDesk((state) => state.hovered ?? state.pinned);
  const trueGrey = useDrawn<'greys'>({ kind: 'greys' });
  const misleading = useDrawn<'misleadingGreys'>({ kind: 'misleadingGreys' });
  const marks = useDrawn<'misleadingMarks'>({
    kind: 'misleadingMarks',
    steps: stepOf(settings.scale),
  });
  const veil = useVeil();
  return (
    <TwoPictures
      label="Two greys of the picture."
      testId="two-greys"
      titles={['true grey', 'misleading grey']}
      pictures={marks.canvas ? [trueGrey.canvas, misleading.canvas] : [null, null]}
      over={focus?.kind === 'misled' ? veil.canvas : marks.canvas}
    />
  );
}
