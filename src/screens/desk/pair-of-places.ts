import { useMemo } from 'react';
import type { Oklab } from '@/core/colour/oklab';
import { useSettings } from '@/ui/settings';
import { usePicture } from './picture-room';
import type { Mark } from './step';
import { useAnswer } from './use-answer';
import { placeOf, type Point } from './view';

/** Two places of the original as marks, A and B. */
export function usePairMarks(pair: readonly Point[]): readonly Mark[] {
  const { framedArea } = usePicture();
  const { settings } = useSettings();
  return useMemo(
    () =>
      pair.map((place, i) => ({
        id: `pair ${i}`,
        ...framedArea({ ...place, radius: 0 }),
        radius: settings.pickRadius,
        strong: true,
        label: i === 0 ? 'A' : 'B',
      })),
    [pair, framedArea, settings.pickRadius],
  );
}

/** A new pair of places: the first, then the second, then the one nearer to it moves. */
export function withPlace(pair: readonly Point[], { x, y }: Point): Point[] {
  const place = { x, y };
  if (pair.length < 2) return [...pair, place];
  const away = pair.map((one) => Math.hypot(one.x - x, one.y - y));
  return away[0] < away[1] ? [place, pair[1]] : [pair[0], place];
}

/** The colour around a place of the original; null while it is not known, or where there is no picture. */
export function useColourAt(place: Point | undefined): Oklab | null {
  const { framedArea } = usePicture();
  const { settings } = useSettings();
  const { value, stale } = useAnswer<'probe'>(
    place
      ? {
          kind: 'probe',
          place: placeOf(framedArea({ ...place, radius: 0 })),
          radius: settings.pickRadius,
        }
      : null,
  );
  return stale ? null : (value?.colour ?? null);
}
