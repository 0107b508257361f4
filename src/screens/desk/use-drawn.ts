'use client';

import { useEffect, useState } from 'react';
import type { Picture } from '@/core/picture/picture';
import { showFault } from '@/ui/notices';
import { drawn, usePicture, type PictureRoom } from './picture-room';

/**
 * A picture that the worker makes, drawn on a canvas; null while `key` is null or until it is
 * there. Made anew when the key or the developed picture changes.
 */
export function useDrawn(
  key: string | null,
  make: (desk: PictureRoom['desk']) => Promise<Picture>,
): HTMLCanvasElement | null {
  const { desk, generation } = usePicture();
  const [made, setMade] = useState<{ key: string; canvas: HTMLCanvasElement } | null>(null);
  useEffect(() => {
    if (key === null || generation === 0) return;
    let overtaken = false;
    make(desk).then((picture) => {
      if (!overtaken) setMade({ key, canvas: drawn(picture) });
    }, showFault);
    return () => {
      overtaken = true;
    };
    // `make` is described by its key: the same key makes the same picture.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, desk, generation]);
  return key === null ? null : (made?.canvas ?? null);
}

/** Something that the worker measures of the developed picture, measured anew as with `useDrawn`. */
export function useMeasured<T>(
  key: string,
  measure: (desk: PictureRoom['desk']) => Promise<T>,
): T | null {
  const { desk, generation } = usePicture();
  const [measured, setMeasured] = useState<T | null>(null);
  useEffect(() => {
    if (generation === 0) return;
    let overtaken = false;
    measure(desk).then((result) => {
      if (!overtaken) setMeasured(result);
    }, showFault);
    return () => {
      overtaken = true;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- as above
  }, [key, desk, generation]);
  return measured;
}
