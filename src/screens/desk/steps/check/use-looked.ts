'use client';

import { useEffect, useState, type RefObject } from 'react';
import type { Picture } from '@/core/picture/picture';
import type { Laid } from '@/workers/browser/check.worker';
import type { StartedChecks } from '@/workers/browser/start-checks';
import { drawPicture } from '../../picture-room';
import type { CheckTreatment } from './check-view';

type Two = readonly [HTMLCanvasElement, HTMLCanvasElement];

/** What the study was held against and the study, as they are looked at; null until they are drawn. */
export function useLooked(
  laid: Laid | null,
  as: CheckTreatment,
  squint: number,
  worker: RefObject<{ started: StartedChecks } | null>,
): Two | null {
  const [looked, setLooked] = useState<{ of: Laid; pictures: Two } | null>(null);
  useEffect(() => {
    if (!laid) return;
    let stopped = false;
    const make = (picture: Picture) =>
      as === 'plain'
        ? Promise.resolve(picture)
        : (worker.current?.started.look(picture, as, squint * 2) ?? Promise.resolve(picture));
    Promise.all([make(laid.against), make(laid.study)]).then(
      ([one, other]) => {
        if (!stopped) setLooked({ of: laid, pictures: [drawPicture(one), drawPicture(other)] });
      },
      (error: unknown) => console.error(error),
    );
    return () => {
      stopped = true;
    };
  }, [laid, as, squint, worker]);
  return laid && looked?.of === laid ? looked.pictures : null;
}
