'use client';

import { useMemo, useSyncExternalStore } from 'react';
import { z } from 'zod';

const KEY = 'bold-prism:screen';

/** How light the room is: what a screen shows of the dark hangs on it. */
export const ROOMS = ['dark', 'dim', 'bright'] as const;

const checkedSchema = z.object({
  at: z.number(),
  room: z.enum(ROOMS),
  darkest: z.number().min(0).max(10),
  lightest: z.number().min(0).max(10),
});
/** What this screen showed when it was checked. It is kept in the browser: another screen shows something else. */
export type CheckedScreen = z.infer<typeof checkedSchema>;

/** What was stored of a screen; null for nothing, and for what can't be read. */
export function readScreen(stored: string | null): CheckedScreen | null {
  try {
    return checkedSchema.safeParse(JSON.parse(stored ?? 'null')).data ?? null;
  } catch {
    return null;
  }
}

const listeners = new Set<() => void>();
/** As of a browser that stores nothing: for as long as the page is open. */
let held: string | null = null;

const stored = (): string | null => {
  try {
    return localStorage.getItem(KEY) ?? held;
  } catch {
    return held;
  }
};

export function storeScreen(checked: CheckedScreen): void {
  held = JSON.stringify(checked);
  try {
    localStorage.setItem(KEY, held);
  } catch {
    // It is held for this page.
  }
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** What this screen shows, as far as it was checked. */
export function useCheckedScreen(): CheckedScreen | null {
  const text = useSyncExternalStore(subscribe, stored, () => null);
  return useMemo(() => readScreen(text), [text]);
}
