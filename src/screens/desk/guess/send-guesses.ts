import type { Attempt, GuessRecord } from '@/contracts/attempt';

/**
 * Sends guesses in the order in which they were made. One that could not be sent is kept and goes
 * with the next, so that a server that is away for a while costs none; the server counts each once.
 */
export function guessSender(
  send: (attempt: Attempt) => Promise<GuessRecord>,
): (attempt: Attempt) => Promise<GuessRecord> {
  const unsent: Attempt[] = [];
  let before: Promise<unknown> = Promise.resolve();
  const sendAll = async (): Promise<GuessRecord> => {
    for (;;) {
      const record = await send(unsent[0]);
      unsent.shift();
      if (unsent.length === 0) return record;
    }
  };
  return (attempt) => {
    unsent.push(attempt);
    const sent = before.then(() => (unsent.length > 0 ? sendAll() : send(attempt)));
    before = sent.catch(() => undefined);
    return sent;
  };
}
