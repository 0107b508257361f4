import type { DeskState } from './desk-store';

export interface Shortcut {
  /** As it stands on the sheet, and what it does there; without these it stands on no sheet. */
  keys?: string;
  does?: string;
  /** Whether a key press is this one. */
  matches: (event: KeyboardEvent) => boolean;
  run: (state: DeskState, act: DeskActions) => void;
  /** Whether it works only while its step is open. There it comes before all others. */
  onlyHere?: boolean;
}

export interface DeskActions {
  extract: () => void;
  radius: (factor: number) => void;
  help: () => void;
}

export const letter = (key: string) => (event: KeyboardEvent) =>
  !event.ctrlKey && !event.metaKey && !event.altKey && event.key.toLowerCase() === key;

/** A shortcut that stands on the sheet. */
export function key(
  name: string,
  does: string,
  run: Shortcut['run'],
  matches = letter(name.toLowerCase()),
): Shortcut {
  return { keys: name, does, matches, run };
}
