import type { Merge } from './merge';

/** A document with the ways back and forward. */
export interface History<T> {
  present: T;
  past: T[];
  future: T[];
  /** What the last change was part of, so that a run of typing is one step back. */
  run: { key: string; at: number } | null;
}

const MAX_STEPS = 200;
const RUN_ENDS_AFTER = 1200;

export function begin<T>(present: T): History<T> {
  return { present, past: [], future: [], run: null };
}

/** A change; one with the same `key` as the last and soon after it joins that step. */
export function change<T>(
  history: History<T>,
  present: T,
  key: string | null,
  now: number,
): History<T> {
  if (Object.is(present, history.present)) return history;
  const { run } = history;
  const joins = key !== null && run?.key === key && now - run.at < RUN_ENDS_AFTER;
  return {
    present,
    past: joins ? history.past : [...history.past, history.present].slice(-MAX_STEPS),
    future: [],
    run: key === null ? null : { key, at: now },
  };
}

/** The present put right without a step: for what follows from the document and nobody decided. */
export function amend<T>(history: History<T>, present: T): History<T> {
  return Object.is(present, history.present) ? history : { ...history, present };
}

export function undo<T>(history: History<T>): History<T> {
  const present = history.past.at(-1);
  if (present === undefined) return history;
  return {
    present,
    past: history.past.slice(0, -1),
    future: [history.present, ...history.future],
    run: null,
  };
}

export function redo<T>(history: History<T>): History<T> {
  const [present, ...future] = history.future;
  if (present === undefined) return history;
  return { present, past: [...history.past, history.present], future, run: null };
}

/**
 * Takes in what another window changed, in every step: undoing one's own work must not undo
 * somebody else's.
 */
export function rebase<T>(
  history: History<T>,
  present: T,
  base: T,
  theirs: T,
  merge: Merge<T>,
): History<T> {
  const over = (document: T) => merge(base, document, theirs).value;
  return { present, past: history.past.map(over), future: history.future.map(over), run: null };
}
