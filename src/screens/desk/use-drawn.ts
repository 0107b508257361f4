'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Picture } from '@/core/picture/picture';
import { showError } from '@/ui/notices';
import { latest } from './latest';
import { drawn, usePicture, type PictureRoom } from './picture-room';

type Make<T> = (desk: PictureRoom['desk']) => Promise<T>;

/**
 * What the worker makes of the developed picture; the last of it until the next is there, null
 * before the first. Made anew when the key or the developed picture changes, one at a time: a slider
 * that outruns the worker gets only its newest place.
 */
function useMade<T, R>(key: string | null, make: Make<T>, finish: (made: T) => R): R | null {
  const { desk, generation } = usePicture();
  const [made, setMade] = useState<R | null>(null);
  const maker = useMemo(
    () =>
      latest(
        (asked: { make: Make<T>; finish: (made: T) => R }) => asked.make(desk),
        (result, asked) => setMade(asked.finish(result)),
        showError,
      ),
    [desk],
  );
  useEffect(() => {
    if (key !== null && generation > 0) maker.ask({ make, finish });
    // `make` is described by its key: the same key makes the same.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, maker, generation]);
  return key === null ? null : made;
}

/** A picture that the worker makes, drawn on a canvas; null while `key` is null or until it is there. */
export function useDrawn(key: string | null, make: Make<Picture>): HTMLCanvasElement | null {
  return useMade(key, make, drawn);
}

/** Something that the worker measures of the developed picture; null while `key` is. */
export function useMeasured<T>(key: string | null, measure: Make<T>): T | null {
  return useMade(key, measure, asItIs);
}

const asItIs = <T>(made: T) => made;
