import type { DeskAnswers } from '@/contracts/desk-query/desk-answers';
import type { DeskQuery, QueryKind, QueryOf } from '@/contracts/desk-query/desk-query';

interface Waiting {
  query: DeskQuery;
  resolve: (answer: unknown) => void;
  reject: (error: unknown) => void;
}

export interface AskOptions {
  /** Gives the query up while it still waits; one that is being answered is answered. */
  signal?: AbortSignal;
  /** Goes before all that waits: for what follows the pointer. */
  urgent?: boolean;
}

export type Ask = <K extends QueryKind>(
  query: QueryOf<K>,
  options?: AskOptions,
) => Promise<DeskAnswers[K]>;

/**
 * Sends queries to a worker one at a time, in the order they came. A worker can't be stopped in the
 * middle of an answer, so what is superseded has to be given up before it is sent: its promise is
 * rejected with the signal's reason.
 */
export function queryQueue(answer: (query: DeskQuery) => Promise<unknown>): Ask {
  const waiting: Waiting[] = [];
  let busy = false;

  const run = async () => {
    busy = true;
    for (let next = waiting.shift(); next; next = waiting.shift())
      await answer(next.query).then(next.resolve, next.reject);
    busy = false;
  };

  return <K extends QueryKind>(query: QueryOf<K>, { signal, urgent = false }: AskOptions = {}) =>
    new Promise<DeskAnswers[K]>((resolve, reject) => {
      if (signal?.aborted) return reject(signal.reason);
      const entry: Waiting = { query, resolve: resolve as Waiting['resolve'], reject };
      if (urgent) waiting.unshift(entry);
      else waiting.push(entry);
      signal?.addEventListener('abort', () => {
        const at = waiting.indexOf(entry);
        if (at < 0) return;
        waiting.splice(at, 1);
        reject(signal.reason);
      });
      if (!busy) void run();
    });
}
