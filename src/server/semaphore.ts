/**
 * Lets at most `places` jobs run at once; others wait for their turn. One whose signal is aborted while it waits is
 * never begun, and rejected with the signal's reason.
 */
export function semaphore(places: number) {
  let running = 0;
  const waiting: (() => void)[] = [];
  const turn = (signal?: AbortSignal) =>
    new Promise<void>((resolve, reject) => {
      signal?.throwIfAborted();
      if (running < places) {
        running++;
        return resolve();
      }
      const begin = () => {
        signal?.removeEventListener('abort', leave);
        resolve();
      };
      const leave = () => {
        waiting.splice(waiting.indexOf(begin), 1);
        reject(signal?.reason as Error);
      };
      signal?.addEventListener('abort', leave, { once: true });
      waiting.push(begin);
    });
  return async <T>(job: () => Promise<T>, signal?: AbortSignal): Promise<T> => {
    await turn(signal);
    try {
      return await job();
    } finally {
      // The place goes to the next in line, or is free.
      const next = waiting.shift();
      if (next) next();
      else running--;
    }
  };
}
