'use client';

import { useEffect } from 'react';
import { z } from 'zod';
import {
  newerStudySchema,
  savedStudySchema,
  studyDocumentSchema,
  studySchema,
  type Study,
  type StudyDocument,
} from '@/contracts/study';
import { call, RefusedError } from '@/ui/api';
import { showFault } from '@/ui/notices';
import { dropDraft, findDraft, keepDraft } from '@/ui/sync/draft';
import { createSaver, type Saved } from '@/ui/sync/saver';
import { toast } from 'sonner';
import { merge, yieldTo, type Conflict } from '@/ui/sync/merge';
import type { DeskStore } from './desk-store';

const savedMessage = z.object({ revision: z.number().int(), value: studyDocumentSchema });
const draftSchema = z.object({ base: savedMessage, value: studyDocumentSchema });

/**
 * Keeps the study saved while the Desk is open, merges what other windows save, and brings back
 * what an earlier window could not get through to the server.
 */
export function useSaving(study: Study, store: DeskStore): void {
  useEffect(() => {
    const channel = new BroadcastChannel(`bold-prism-study:${study.id}`);
    const saver = createSaver<StudyDocument>({
      start: { revision: study.revision, value: study.document },
      send: async (basedOn, document) => {
        const body = { basedOn, document };
        // A request that outlives its page may hold 64 KB at most.
        const keepalive = JSON.stringify(body).length < 60_000;
        const { revision } = await call('PUT', `/api/studies/${study.id}`, savedStudySchema, body, {
          keepalive,
        });
        return revision;
      },
      newerIn,
      passing: (error) =>
        error instanceof RefusedError && (error.status === 0 || error.status >= 500),
      onMerged: (merged, { base, theirs }, conflicts) => {
        store.getState().takeIn(merged, base, theirs);
        if (conflicts.length > 0)
          tellConflict(conflicts, () =>
            store.getState().change((mine) => yieldTo(mine, conflicts)),
          );
      },
      onState: (saveState) => {
        store.getState().set({ saveState });
        if (saveState === 'saved') dropDraft(study.id);
      },
      onRefused: showFault,
      onSaved: (saved) => channel.postMessage(saved),
    });

    channel.onmessage = ({ data }) => {
      const parsed = savedMessage.safeParse(data);
      if (parsed.success) saver.receive(parsed.data);
    };

    const unsubscribe = store.subscribe((state, before) => {
      const document = state.history.present;
      if (document === before.history.present) return;
      keepDraft(study.id, { base: saver.acknowledged(), value: document });
      saver.offer(document);
    });

    bringBackDraft(study.id, store);
    // The page may come from the browser's history, older than what the server has.
    const catchUp = () =>
      void call('GET', `/api/studies/${study.id}`, studySchema).then(
        ({ revision, document }) => saver.receive({ revision, value: document }),
        () => undefined,
      );
    catchUp();
    window.addEventListener('focus', catchUp);
    const flush = () => void saver.flush();
    window.addEventListener('pagehide', flush);
    return () => {
      unsubscribe();
      window.removeEventListener('pagehide', flush);
      window.removeEventListener('focus', catchUp);
      void saver.flush().finally(() => {
        saver.stop();
        channel.close();
      });
    };
  }, [study, store]);
}

function newerIn(error: unknown): Saved<StudyDocument> | null {
  if (!(error instanceof RefusedError) || error.code !== 'newer') return null;
  const parsed = newerStudySchema.safeParse(error.detail);
  return parsed.success ? { revision: parsed.data.revision, value: parsed.data.document } : null;
}

/** A draft is a change made on an older base: replayed as a merge with what the server has now. */
function bringBackDraft(id: string, store: DeskStore): void {
  const draft = draftSchema.safeParse(findDraft(id));
  if (!draft.success) return;
  const { base, value } = draft.data;
  store.getState().change((document) => merge(base.value, value, document).value);
}

function tellConflict(conflicts: Conflict[], useTheirs: () => void): void {
  const what = [
    ...new Set(conflicts.map(({ path }) => path.filter((part) => part.length < 30).join(' '))),
  ];
  toast(`Changed here and in another window: ${what.join(', ')}. Yours stands.`, {
    duration: 20_000,
    action: { label: 'Use theirs', onClick: useTheirs },
  });
}
