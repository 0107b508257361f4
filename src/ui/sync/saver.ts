import { same, type Conflict, type Merge } from './merge';

/** A value as the server has acknowledged it. */
export interface Saved<T> {
  revision: number;
  value: T;
}

/** The last: the server does not answer, and the browser stores nothing either. */
export type SaveState = 'saved' | 'saving' | 'waiting for the server' | 'kept in this window alone';

export interface SaverOptions<T> {
  start: Saved<T>;
  merge: Merge<T>;
  /** Sends a value; the answer is the revision it became. */
  send: (basedOn: number, value: T) => Promise<number>;
  /** The newer value that a refusal carries, or null for any other failure. */
  newerIn: (error: unknown) => Saved<T> | null;
  /** Whether trying again later can help. */
  passing: (error: unknown) => boolean;
  /** The value became a merge of the person's and a newer one. */
  onMerged: (merged: T, change: { base: T; theirs: T }, conflicts: Conflict[]) => void;
  onState: (state: SaveState) => void;
  onRefused: (error: unknown) => void;
  onSaved?: (saved: Saved<T>) => void;
  /** Milliseconds of quiet before a change is sent, and before a failed one is sent again. */
  quiet?: number;
  again?: number;
}

export interface Saver<T> {
  /** The person's value now. */
  offer: (value: T) => void;
  /** What another window has saved. */
  receive: (saved: Saved<T>) => void;
  /** Sends at once what is waiting; resolves when it is acknowledged or has failed. */
  flush: () => Promise<void>;
  acknowledged: () => Saved<T>;
  stop: () => void;
}

/**
 * Keeps a value saved: one request at a time, each based on the last acknowledged revision; a
 * newer revision from elsewhere is merged and the merge is saved, so that no window overwrites
 * another; a server that does not answer is tried again until it does.
 */
export function createSaver<T>(options: SaverOptions<T>): Saver<T> {
  const { quiet = 350, again = 2000 } = options;
  let acknowledged = options.start;
  let current = options.start.value;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let sending: Promise<void> | null = null;
  /** What another window saved while a request of ours was on its way. */
  let news: Saved<T> | null = null;
  let stopped = false;

  const schedule = (after: number) => {
    clearTimeout(timer);
    if (!stopped) timer = setTimeout(() => void flush(), after);
  };

  const takeIn = (newer: Saved<T>) => {
    const base = acknowledged.value;
    acknowledged = newer;
    const { value, conflicts } = options.merge(base, current, newer.value);
    current = value;
    options.onMerged(value, { base, theirs: newer.value }, conflicts);
  };

  const sendOnce = async () => {
    const value = current;
    options.onState('saving');
    try {
      const revision = await options.send(acknowledged.revision, value);
      acknowledged = { revision, value };
      options.onSaved?.(acknowledged);
    } catch (error) {
      const newer = options.newerIn(error);
      if (newer) {
        takeIn(newer);
        if (!same(current, acknowledged.value)) schedule(0);
      } else if (options.passing(error)) {
        options.onState('waiting for the server');
        schedule(again);
        return;
      } else {
        // The server will never take this one: say so once, and try again only with the next change.
        options.onRefused(error);
        options.onState('waiting for the server');
        return;
      }
    }
    if (same(current, acknowledged.value)) options.onState('saved');
    else schedule(0);
  };

  const flush = async (): Promise<void> => {
    clearTimeout(timer);
    while (sending) await sending;
    if (same(current, acknowledged.value)) return options.onState('saved');
    sending = sendOnce().finally(() => (sending = null));
    await sending;
    if (news) receive(news);
  };

  const receive = (saved: Saved<T>) => {
    if (sending) {
      if (!news || saved.revision > news.revision) news = saved;
      return;
    }
    news = null;
    if (saved.revision <= acknowledged.revision) return;
    takeIn(saved);
    if (!same(current, acknowledged.value)) schedule(quiet);
  };

  return {
    offer(value) {
      current = value;
      // One that came back to what is saved is not sent, but the quiet still ends in saying so.
      options.onState('saving');
      schedule(quiet);
    },
    receive,
    flush,
    acknowledged: () => acknowledged,
    stop() {
      stopped = true;
      clearTimeout(timer);
    },
  };
}
