import { toast } from 'sonner';
import { z } from 'zod';
import { call, RefusedError } from '../api';
import { showError } from '../notices';
import type { DocumentState } from './document-store';
import { dropDraft, findDraft, keepDraft } from './draft';
import { merge, yieldTo, type Conflict } from './merge';
import { createSaver, type Saved } from './saver';

export interface SavingOptions<T> {
  /** The document's name among all that this browser holds: its channel and its draft are called so. */
  name: string;
  /** Where it is fetched (GET) and saved (PUT). */
  path: string;
  start: Saved<T>;
  /** What a document has to be before it is sent; one that is not yet waits in the window. */
  schema: z.ZodType<T>;
  bodyOf: (basedOn: number, document: T) => unknown;
  /** Checks what the server tells of the document, when asked and when it refuses an older one. */
  answer: z.ZodType<Saved<T>>;
}

interface Store<T> {
  getState: () => DocumentState<T>;
  subscribe: (listener: (state: DocumentState<T>, before: DocumentState<T>) => void) => () => void;
}

const revisionSchema = z.object({ revision: z.number().int() });
/** A request that outlives its page may hold 64 KB at most. */
const MAX_KEEPALIVE_BYTES = 60_000;

/**
 * Keeps an open document saved, merges what other windows save, and brings back what an earlier
 * window could not get through to the server. Answers the function that ends it.
 */
export function keepSaved<T>(store: Store<T>, keeping: SavingOptions<T>): () => void {
  const { name, path, schema, start, answer, bodyOf } = keeping;
  const savedSchema = z.object({ revision: z.number().int(), value: schema });
  const draftSchema = z.object({ base: savedSchema, value: schema });
  const channel = new BroadcastChannel(`bold-prism-${name}`);

  const saver = createSaver<T>({
    start,
    send: async (basedOn, document) => {
      const body = bodyOf(basedOn, document);
      const keepalive = JSON.stringify(body).length < MAX_KEEPALIVE_BYTES;
      return (await call('PUT', path, revisionSchema, body, { keepalive })).revision;
    },
    newerIn: (error) => {
      if (!(error instanceof RefusedError) || error.code !== 'newer') return null;
      const parsed = answer.safeParse(error.detail);
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
      store.getState().setSaveState(saveState);
      if (saveState === 'saved') dropDraft(name);
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
    keepDraft(name, { base: saver.acknowledged(), value: document });
    saver.offer(document);
  });

  // A draft is a change made on an older base: replayed as a merge with what the server has now.
  const draft = draftSchema.safeParse(findDraft(name));
  if (draft.success) {
    const { base, value } = draft.data;
    store.getState().change((document) => merge(base.value, value, document).value);
  }

  // The page may come from the browser's history, older than what the server has.
  const catchUp = () =>
    void call('GET', path, answer).then(
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
