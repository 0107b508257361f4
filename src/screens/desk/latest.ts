/**
 * Runs an asynchronous job one at a time: while one runs, only the newest request waits, and the
 * answer to an overtaken request is not used. For sliders and pointers that outrun the worker.
 */
export function latest<A, R>(
  run: (argument: A) => Promise<R>,
  take: (result: R, argument: A) => void,
  fail: (error: unknown) => void,
) {
  let waiting: { argument: A } | null = null;
  let running = false;
  let stopped = false;

  const go = async () => {
    running = true;
    while (waiting && !stopped) {
      const { argument } = waiting;
      waiting = null;
      try {
        const result = await run(argument);
        if (!stopped && !waiting) take(result, argument);
      } catch (error) {
        if (!stopped) fail(error);
      }
    }
    running = false;
  };

  return {
    ask(argument: A): void {
      waiting = { argument };
      if (!running) void go();
    },
    stop(): void {
      stopped = true;
    },
  };
}
