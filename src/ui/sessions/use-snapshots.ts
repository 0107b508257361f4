'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { RefusedError, sendFile } from '../api';
import { showError } from '../notices';
import { snapshotQueue, type WaitingSnapshot } from './snapshot-queue';

/** Milliseconds until a snapshot that the server didn't take is sent again. */
const AGAIN_AFTER = 3000;

export interface Snapshots {
  /**
   * Keeps a picture in the browser and sends it to the server until that has it. Throws where the browser can't keep it and
   * the server can't be reached.
   */
  keep: (id: string, blob: Blob, name: string) => Promise<void>;
  /** Those that wait for the server. */
  waiting: ReadonlySet<string>;
  /** Where a snapshot is shown from. */
  href: (id: string, rendition: 'working' | 'thumbnail') => string;
}

/** The pictures of a session's snapshots; `onRefused` is told of one that is no picture. */
export function useSnapshots(session: string, onRefused: (id: string) => void): Snapshots {
  const [waiting, setWaiting] = useState<ReadonlyMap<string, string>>(new Map());
  const refused = useRef(onRefused);
  useEffect(() => void (refused.current = onRefused));
  const sending = useRef(new Set<string>());

  const wait = useCallback(
    ({ id, blob }: WaitingSnapshot) =>
      setWaiting((was) => (was.has(id) ? was : new Map(was).set(id, URL.createObjectURL(blob)))),
    [],
  );
  const settle = useCallback(
    (id: string) =>
      setWaiting((was) => {
        const url = was.get(id);
        if (url === undefined) return was;
        URL.revokeObjectURL(url);
        const next = new Map(was);
        next.delete(id);
        return next;
      }),
    [],
  );

  /** Stored, to be sent again, or refused for good. */
  const send = useCallback(
    async (snapshot: WaitingSnapshot): Promise<'stored' | 'waits' | 'refused'> => {
      const { id, blob, name } = snapshot;
      if (sending.current.has(id)) return 'waits';
      let isRefused = false;
      sending.current.add(id);
      try {
        await sendFile(
          endpoints.keepSnapshot,
          { id: session, snapshot: id },
          new File([blob], name, { type: blob.type }),
        );
      } catch (error) {
        const passes = error instanceof RefusedError && (error.status === 0 || error.status >= 500);
        if (passes) return 'waits';
        showError(error);
        refused.current(id);
        isRefused = true;
      } finally {
        sending.current.delete(id);
      }
      await snapshotQueue.drop({ session, id }).catch(() => undefined);
      settle(id);
      return isRefused ? 'refused' : 'stored';
    },
    [session, settle],
  );

  // What an earlier page could not get through, and what this one can't yet.
  useEffect(() => {
    let stopped = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const round = async () => {
      const list = await snapshotQueue.of(session).catch(() => []);
      for (const snapshot of list) {
        if (stopped) return;
        wait(snapshot);
        if ((await send(snapshot)) === 'waits') break;
      }
      if (!stopped) timer = setTimeout(() => void round(), AGAIN_AFTER);
    };
    void round();
    return () => {
      stopped = true;
      clearTimeout(timer);
    };
  }, [session, send, wait]);

  return useMemo(
    () => ({
      async keep(id, blob, name) {
        const snapshot = { session, id, blob, name };
        const isKept = await snapshotQueue.keep(snapshot).then(
          () => true,
          () => false,
        );
        wait(snapshot);
        // Whoever asked goes on at once; it is sent until the server has it or refuses it.
        const sent = send(snapshot);
        if (!isKept && (await sent) === 'waits') {
          settle(id);
          throw new Error(
            'The snapshot could be stored neither here nor on the server. Save it as a file and add it later.',
          );
        }
      },
      waiting: new Set(waiting.keys()),
      href: (id, rendition) =>
        waiting.get(id) ?? hrefOf(endpoints.getSnapshot, { id: session, snapshot: id, rendition }),
    }),
    [session, send, settle, wait, waiting],
  );
}
