'use client';

import { useMemo } from 'react';
import { useSettings } from '@/ui/settings';
import { useStepView } from '../../desk-store';
import { usePicture } from '../../picture-room';
import type { StepOverlay } from '../../step';
import { useDrawn } from '../../use-answer';
import { placeOf } from '../../view';
import { coloursView } from './colours-view';

/** The map of temperature, and the place that the three questions are about. */
export function useColoursOverlay(): StepOverlay {
  const [{ tab, warmthMap, place }, look] = useStepView(coloursView);
  const { framedArea, originalArea } = usePicture();
  const { settings } = useSettings();
  const lens = useDrawn<'temperature'>(
    tab === 'warmth' && warmthMap ? { kind: 'temperature' } : null,
  );
  const marks = useMemo(
    () =>
      place
        ? [
            {
              id: 'asked',
              ...framedArea({ ...place, radius: 0 }),
              radius: settings.pickRadius,
              strong: true,
            },
          ]
        : [],
    [place, framedArea, settings.pickRadius],
  );
  return {
    lens,
    marks,
    onTap: (touched) => look({ place: placeOf(originalArea(touched, 0)) }),
  };
}
