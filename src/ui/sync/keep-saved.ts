import { toast } from 'sonner';
import { z } from 'zod';
import { RefusedError } from '../api';
import { showError } from '../notices';
import type { DocumentState } from './document-store';
import { draftsOf, type Draft, type FoundDraft } from './drafts';
import { yieldTo, type Conflict, type Merge } from './merge';
import { createSaver, type Saved } from './saver';

export interface SavingOptions<T> {
  /** The document's name among all that this browser holds: its channel and its draft are called so. */
  name: string;
  /** Saves it over a revision; the answer is the revision it became. */
  save: (basedOn: number, document: T, options: RequestInit) => Promise<{ revision: number }>;
  /** What the server has now. */
  fetch: () => Promise<Saved<T>>;
  start: Saved<T>;
  /** What a document has to be before it is sent; one that is not yet waits in the window. */
  schema: z.ZodType<T>;
  /** Reads a document that was kept, perhaps by an older version of the program. */
  read: (stored: unknown) => T;
  merge: Merge<T>;
  /** Checks what the server tells of the document when it refuses an older one. */
  newer: z.ZodType<Saved<T>>;
}

interface Store<T> {
  getState: () => DocumentState<T>;
  subscribe: (listener: (state: DocumentState<T>, before: DocumentState<T>) => void) => () => void;
}

/** A request that outlives its page may hold 64 KB at most. */
const MAX_KEEPALIVE_BYTES = 60_000;

/**
 * Keeps an open document saved, merges what other windows save, and brings back what an earlier
 * window could not get through to the server. Answers the function that ends it.
 */
export function keepSaved<T>(store: Store<T>, options: SavingOptions<T>): () => void {
  const { name, schema, start, newer, read, merge } = options;
  const kept = z.unknown().transform(read);
  const savedSchema = z.object({ revision: z.number().int(), value: kept });
  const draftSchema = z.object({ base: savedSchema, value: kept });
  const channel = new BroadcastChannel(`bold-prism-${name}`);
  const drafts = draftsOf<T>(name, windowId());
  /** What other windows could not get through, and this one has taken in. */
  let adopted: FoundDraft[] = [];
  let isDraftKept = true;
  const keepDraft = (draft: Draft<T>) =>
    drafts.keep(draft).then(
      () => (isDraftKept = true),
      () => {
        if (isDraftKept) tellNotKept();
        isDraftKept = false;
        if (store.getState().saveState === 'waiting for the server')
          store.getState().setSaveState('kept in this window alone');
      },
    );
  const dropDrafts = () => {
    const taken = adopted;
    adopted = [];
    // What can't be dropped is found again, and changes nothing then.
    void drafts.drop().catch(() => undefined);
    if (taken.length > 0) void drafts.dropFound(taken).catch(() => undefined);
  };

  const saver = createSaver<T>({
    start,
    merge,
    send: async (basedOn, document) => {
      const keepalive = JSON.stringify(document).length < MAX_KEEPALIVE_BYTES;
      return (await options.save(basedOn, document, { keepalive })).revision;
    },
    newerIn: (error) => {
      if (!(error instanceof RefusedError) || error.code !== 'newer') return null;
      const parsed = newer.safeParse(error.detail);
      return parsed.success ? parsed.data : null;
    },
    passing: (error) =>
      error instanceof RefusedError && (error.status === 0 || error.status >= 500),
    onMerged: (merged, { base, theirs }, conflicts) => {
      store.getState().takeIn(merged, base, theirs);
      if (conflicts.length > 0)
        tellConflict(conflicts, () => store.getState().change((mine) => yieldTo(mine, conflicts)));
    },
    onState: (saveState) => {
      const isLost = saveState === 'waiting for the server' && !isDraftKept;
      store.getState().setSaveState(isLost ? 'kept in this window alone' : saveState);
      if (saveState === 'saved') dropDrafts();
    },
    onRefused: showError,
    onSaved: (saved) => channel.postMessage(saved),
  });

  channel.onmessage = ({ data }) => {
    const parsed = savedSchema.safeParse(data);
    if (parsed.success) saver.receive(parsed.data);
  };

  const unsubscribe = store.subscribe((state, before) => {
    const document = state.history.present;
    if (document === before.history.present || !schema.safeParse(document).success) return;
    void keepDraft({ base: saver.acknowledged(), value: document });
    saver.offer(document);
  });

  // A draft is a change made on an older base: replayed as a merge with what is here now.
  const adopt = async () => {
    for (const found of await drafts.others()) {
      const draft = draftSchema.safeParse(found.draft);
      if (!draft.success) continue;
      const { base, value } = draft.data;
      store.getState().change((document) => merge(base.value, value, document).value);
      // What can't be sent yet is not saved by the next save.
      if (schema.safeParse(store.getState().history.present).success) adopted.push(found);
    }
  };
  void adopt().catch(() => undefined);
  // The page may come from the browser's history, older than what the server has.
  const catchUp = () =>
    void options.fetch().then(
      (saved) => saver.receive(saved),
      () => undefined,
    );
  catchUp();
  const flush = () => void saver.flush();
  window.addEventListener('focus', catchUp);
  window.addEventListener('pagehide', flush);
  return () => {
    unsubscribe();
    window.removeEventListener('focus', catchUp);
    window.removeEventListener('pagehide', flush);
    void saver.flush().finally(() => {
      saver.stop();
      channel.close();
    });
  };
}

/** Of this page, not of its document: a page that is opened anew is another. */
function windowId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) => byte.toString(36)).join(
    '',
  );
}

function tellNotKept(): void {
  toast(
    'This browser’s storage is full or closed to us. Until the server has saved a change, it is in this window alone; don’t close it before “saved” is shown.',
    { duration: 30_000, closeButton: true },
  );
}

function tellConflict(conflicts: readonly Conflict[], useTheirs: () => void): void {
  const what = new Set(
    // Long parts are ids of things, which say nothing to a person.
    conflicts.map(({ path }) => path.filter((part) => part.length < 30).join(' ')),
  );
  toast(`Changed here and in another window: ${[...what].join(', ')}. Yours stands.`, {
    duration: 20_000,
    action: { label: 'Use theirs', onClick: useTheirs },
  });
}
