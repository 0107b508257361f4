import { z } from 'zod';
import { drillAnswerSchema, MAX_ANSWERS, type DrillAnswer } from '@/contracts/practice';

const KEY = 'bold-prism:answers';
const listSchema = z.array(drillAnswerSchema);

/** Where answers wait that no server has taken yet: the browser's own store, as far as it has one. */
export type AnswerStore = Pick<Storage, 'getItem' | 'setItem'>;
/** The browser's. It is reached for only as it is used: where it is shut off even naming it throws. */
export const BROWSER_STORE: AnswerStore = {
  getItem: (key) => localStorage.getItem(key),
  setItem: (key, value) => localStorage.setItem(key, value),
};

/** Answers that no server has taken yet. What can't be read, as of another version, is left out. */
export function unsentAnswers(store: AnswerStore): DrillAnswer[] {
  try {
    const stored: unknown = JSON.parse(store.getItem(KEY) ?? '[]');
    return z
      .array(z.unknown())
      .parse(stored)
      .flatMap((one) => drillAnswerSchema.safeParse(one).data ?? []);
  } catch {
    return [];
  }
}

function put(store: AnswerStore, answers: readonly DrillAnswer[]): void {
  try {
    store.setItem(KEY, JSON.stringify(listSchema.parse(answers)));
  } catch {
    // A browser that stores nothing: the answer is still sent.
  }
}

export interface AnswerSender {
  /** Keeps an answer and sends it with all that wait; resolved once the server has all, rejected where it doesn't answer. */
  send: (answer: DrillAnswer) => Promise<void>;
  /** Sends what waits, as after the server was away. */
  sendAll: () => Promise<void>;
  /** How many wait. */
  count: () => number;
}

/**
 * Sends answers in the order in which they were given. One that could not be sent waits in the browser, also when its page is
 * closed, and goes with the next; the server counts each once.
 */
export function answerSender(
  store: AnswerStore,
  post: (answers: DrillAnswer[]) => Promise<void>,
): AnswerSender {
  // What a browser without a store can't keep lives as long as its page.
  let held: DrillAnswer[] = [];
  let before: Promise<void> = Promise.resolve();
  const waiting = () => {
    const stored = unsentAnswers(store);
    const ids = new Set(stored.map(({ id }) => id));
    return [...stored, ...held.filter(({ id }) => !ids.has(id))];
  };
  const run = async () => {
    for (;;) {
      const batch = waiting().slice(0, MAX_ANSWERS);
      if (batch.length === 0) return;
      await post(batch);
      const taken = new Set(batch.map(({ id }) => id));
      held = held.filter(({ id }) => !taken.has(id));
      // Another tab may have added to it meanwhile.
      put(
        store,
        unsentAnswers(store).filter(({ id }) => !taken.has(id)),
      );
    }
  };
  const sendAll = () => {
    const sent = before.then(run);
    before = sent.catch(() => undefined);
    return sent;
  };
  return {
    send(answer) {
      held.push(answer);
      put(store, [...unsentAnswers(store), answer]);
      return sendAll();
    },
    sendAll,
    count: () => waiting().length,
  };
}
