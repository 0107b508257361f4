'use client';

import { useMemo } from 'react';
import { useSettings } from '@/ui/settings';
import { useStepView } from '../../desk-store';
import { usePairMarks, withPlace } from '../../pair-of-places';
import { usePicture } from '../../picture-room';
import type { StepOverlay } from '../../step';
import { useDrawn } from '../../use-answer';
import { placeOf } from '../../view';
import { coloursView } from './colours-view';

/** The map of temperature, and the place that the three questions are about, or a pair of one’s own. */
export function useColoursOverlay(): StepOverlay {
  const [{ tab, warmthMap, place, choosesPair, pair }, look] = useStepView(coloursView);
  const isPairing = tab === 'warmth' && choosesPair;
  const pairMarks = usePairMarks(pair);
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
    marks: isPairing ? pairMarks : marks,
    onTap: (touched) => {
      const area = originalArea(touched, 0);
      look(isPairing ? { pair: withPlace(pair, area) } : { place: placeOf(area) });
    },
  };
}
