export interface Debounced {
  /** Puts an action off until nothing has been put off for a while; it takes the place of one that waits. */
  run: (action: () => void) => void;
  /** Does at once what is waiting. */
  flush: () => void;
  cancel: () => void;
}

/** Puts actions off until `after` milliseconds have passed without another; the newest counts. */
export function debounced(after: number): Debounced {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let waiting: (() => void) | null = null;
  const cancel = () => {
    clearTimeout(timer);
    waiting = null;
  };
  const flush = () => {
    const action = waiting;
    cancel();
    action?.();
  };
  return {
    run(action) {
      waiting = action;
      clearTimeout(timer);
      timer = setTimeout(flush, after);
    },
    flush,
    cancel,
  };
}
