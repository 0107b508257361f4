'use client';

import { useCallback, useRef, useState } from 'react';
import { useRouter } from 'next/navigation';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { call } from '@/ui/api';
import { showError } from '@/ui/notices';
import { useChanged } from '@/ui/queries';
import { sendPicture, type Outcome, type Progress } from './send-picture';

export interface Arrival {
  id: number;
  name: string;
  progress: Progress;
  refused: string | null;
  stop: () => void;
}

export interface Known {
  name: string;
  pictureId: string;
  studies: { id: string; title: string }[];
}

/** Imports pictures one after another; a single one opens on the Desk when it is there. */
export function useImport() {
  const router = useRouter();
  const changed = useChanged(endpoints.searchStudies);
  const [arrivals, setArrivals] = useState<Arrival[]>([]);
  const [known, setKnown] = useState<Known[]>([]);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const nextId = useRef(1);

  const update = useCallback((id: number, part: Partial<Arrival>) => {
    setArrivals((all) => all.map((one) => (one.id === id ? { ...one, ...part } : one)));
  }, []);
  const remove = useCallback((id: number) => {
    setArrivals((all) => all.filter((one) => one.id !== id));
  }, []);

  const settle = useCallback(
    (outcome: Outcome, name: string, alone: boolean) => {
      if (outcome.event === 'done') {
        if (alone) router.push(`/desk/${outcome.studyId}`);
        else void changed();
      } else
        setKnown((all) => [
          ...all,
          { name, pictureId: outcome.pictureId, studies: outcome.studies },
        ]);
    },
    [router, changed],
  );

  const importFiles = useCallback(
    (files: readonly File[]) => {
      const alone = files.length === 1;
      for (const file of files) {
        const id = nextId.current++;
        const stopper = new AbortController();
        setArrivals((all) => [
          ...all,
          {
            id,
            name: file.name,
            progress: { stage: 'sending', done: 0 },
            refused: null,
            stop: () => {
              stopper.abort();
              remove(id);
            },
          },
        ]);
        queue.current = queue.current
          .then(() => {
            stopper.signal.throwIfAborted();
            return sendPicture(file, (progress) => update(id, { progress }), stopper.signal);
          })
          .then(
            (outcome) => {
              settle(outcome, file.name, alone);
              // On the way to the Desk the progress stays up until the page is left.
              if (!alone || outcome.event === 'known') remove(id);
            },
            (error: Error) => {
              if (error.name === 'AbortError') remove(id);
              else update(id, { refused: error.message });
            },
          );
      }
    },
    [remove, settle, update],
  );

  const beginAgain = useCallback(
    async (pictureId: string) => {
      try {
        const { id } = await call(endpoints.createStudy, { body: { pictureId } });
        router.push(`/desk/${id}`);
      } catch (error) {
        showError(error);
      }
    },
    [router],
  );

  const dropKnown = useCallback(() => setKnown((all) => all.slice(1)), []);
  return { arrivals, known: known[0] ?? null, importFiles, beginAgain, dropKnown };
}
