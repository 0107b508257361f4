'use client';

import { toast } from 'sonner';

/** The one place in the client where an error is shown. */
export function showError(error: unknown): void {
  console.error(error);
  const words = error instanceof Error ? error.message : 'Something went wrong. Please try again.';
  // What several requests meet at once is said once.
  toast(words, { id: words, duration: 12_000, closeButton: true });
}

/** Says what was done, with the way back. */
export function offerUndo(done: string, undo: () => void | Promise<void>): void {
  toast(done, {
    duration: 10_000,
    action: {
      label: 'Undo',
      onClick: () => void Promise.resolve(undo()).catch(showError),
    },
  });
}

export function say(words: string): void {
  toast(words, { duration: 5_000 });
}
