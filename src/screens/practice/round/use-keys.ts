'use client';

import { useEffect, useRef } from 'react';

/** Passes key presses to a handler that returns whether it used them; shortcuts of the browser and repeats of a held key are left out. */
export function useKeys(onKey: (event: KeyboardEvent) => boolean): void {
  const latest = useRef(onKey);
  useEffect(() => void (latest.current = onKey));
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || event.defaultPrevented)
        return;
      if (latest.current(event)) event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}

/** The key of each of some choices: figures, or letters where there are more than nine. */
export const choiceKeys = (count: number): string[] =>
  Array.from({ length: count }, (_, i) =>
    count <= 9 ? String(i + 1) : String.fromCharCode('a'.charCodeAt(0) + i),
  );

/** The choice that a key stands for; null for another key. */
export function choiceOf(key: string, count: number): number | null {
  const at = choiceKeys(count).indexOf(key.toLowerCase());
  return at < 0 ? null : at;
}
