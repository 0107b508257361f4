import type { Saved } from './saver';

/** What a window holds that no server has acknowledged: kept in the browser until one does. */
export interface Draft<T> {
  base: Saved<T>;
  value: T;
}

const keyOf = (id: string) => `bold-prism-draft:${id}`;

export function keepDraft<T>(id: string, draft: Draft<T>): void {
  try {
    localStorage.setItem(keyOf(id), JSON.stringify(draft));
  } catch {
    // A full or forbidden store costs only this second copy; the first is in the window.
  }
}

export function dropDraft(id: string): void {
  try {
    localStorage.removeItem(keyOf(id));
  } catch {
    // As above.
  }
}

/** The draft as parsed JSON; the caller checks it against its contract. */
export function findDraft(id: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null');
  } catch {
    return null;
  }
}
