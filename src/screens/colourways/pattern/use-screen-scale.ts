'use client';

import { useState } from 'react';

/** CSS pixels of a centimetre where a screen says nothing of its own. */
const CSS_SCALE = 96 / 2.54;
const KEY = 'prism-pixels-per-centimetre';

function stored(): number {
  if (typeof window === 'undefined') return CSS_SCALE;
  const scale = Number(window.localStorage.getItem(KEY));
  return scale >= 20 && scale <= 120 ? scale : CSS_SCALE;
}

/** Pixels of a centimetre on this screen, as the person measured it; it belongs to the screen and stays in this browser. */
export function useScreenScale(): [number, (scale: number) => void] {
  const [scale, setScale] = useState(stored);
  return [
    scale,
    (next) => {
      setScale(next);
      window.localStorage.setItem(KEY, String(next));
    },
  ];
}
