'use client';

import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { findingSchema } from '@/contracts/finding';
import type { Development } from '@/core/picture/develop';
import type { Quad } from '@/core/raster/homography';
import { editCheck } from '@/study/session-edits';
import { useSettings } from '@/ui/settings';
import type { CheckStage, Laid } from '@/workers/browser/check.worker';
import { startChecks, type StartedChecks } from '@/workers/browser/start-checks';
import { useDocument, useStepView } from '../../desk-store';
import { usePictureFacts } from '../../facts';
import { usePicture } from '../../picture-room';
import { useOpenCheck, type OpenSession } from './open-session';
import { checkView } from './check-view';
import { heldAgainst, photographOf } from './held-against';
import { useLooked } from './use-looked';

export interface Comparing {
  /** `lost`: the study was not found in the photograph. */
  state: 'none' | 'working' | 'done' | 'lost' | 'failed' | 'stopped';
  stage: CheckStage | null;
  /** Where the corners lie, once they are known. */
  corners: Quad | null;
  /** What the study was held against, and the study, as they are looked at. */
  pictures: readonly [HTMLCanvasElement, HTMLCanvasElement] | null;
  stop: () => void;
  again: () => void;
}

/** A worker that has a picture, or is loading it. */
interface ModelWorker {
  key: string;
  started: StartedChecks;
  loaded: Promise<void>;
}

/** The worker that is held, or a new one where that has another picture or another development of it. */
function readyWorker(
  held: RefObject<ModelWorker | null>,
  pictureId: string,
  development: Development,
): ModelWorker {
  const key = JSON.stringify([pictureId, development]);
  if (held.current?.key === key) return held.current;
  held.current?.started.stop();
  const started = startChecks();
  const href = hrefOf(endpoints.getPicture, { id: pictureId, rendition: 'working' });
  const loaded = started.load(new URL(href, location.href).href, development);
  held.current = { key, started, loaded };
  return held.current;
}

interface Done {
  key: string;
  laid: Laid;
}

/** Compares the open check's snapshot in a worker of its own; what is found is kept with the check. */
export function useComparison(open: OpenSession | null): Comparing {
  const [view] = useStepView(checkView);
  const { settings } = useSettings();
  const facts = usePictureFacts();
  const document = useDocument((whole) => whole);
  const { ask } = usePicture();
  const { content, snapshot, check } = useOpenCheck(open);
  const isStored = snapshot !== null && !open?.snapshots.waiting.has(snapshot.id);

  const worker = useRef<ModelWorker | null>(null);
  const [told, setTold] = useState<{ key: string; state: Comparing['state'] } | null>(null);
  const [stage, setStage] = useState<CheckStage | null>(null);
  const [done, setDone] = useState<Done | null>(null);
  const [attempt, setAttempt] = useState(0);

  const development = { framing: document.framing, cast: document.neutral?.cast ?? null };
  const key =
    open && check && isStored
      ? JSON.stringify([
          open.session.id,
          check.snapshot,
          check.corners,
          check.white,
          check.isDigital,
          check.against,
          development,
          settings.wheel,
          check.against.kind === 'plan' ? document.values : null,
          attempt,
        ])
      : null;

  // What the effect needs and its key says all of.
  const given = useRef({ open, check, content, document, development, ask });
  useEffect(() => void (given.current = { open, check, content, document, development, ask }));

  useEffect(() => {
    if (key === null) return;
    let stopped = false;
    const run = async () => {
      const now = given.current;
      if (!now.open || !now.check || !now.content) return;
      const { open: room, check: of } = now;
      setTold({ key, state: 'working' });
      const { started, loaded } = readyWorker(worker, facts.id, now.development);
      await loaded;
      const held = await heldAgainst(of, now.content, room.session.id, {
        document: now.document,
        ask: now.ask,
        wheel: settings.wheel,
      });
      if (stopped) return;
      const found = await started.check(
        photographOf(room.session.id, of),
        held,
        settings.wheel,
        (next) => !stopped && setStage(next),
        (laid) => !stopped && setDone({ key, laid }),
      );
      if (stopped) return;
      setStage(null);
      if (!found) return setTold({ key, state: 'lost' });
      setTold({ key, state: 'done' });
      const finding = findingSchema.parse(found);
      // Both came through the schema: their keys are in one order.
      if (JSON.stringify(of.finding) !== JSON.stringify(finding))
        room.store.getState().amend((was) => editCheck(was, of.id, { finding }));
    };
    run().catch((error: unknown) => {
      if (stopped) return;
      console.error(error);
      // The next attempt begins with a new one: this may have failed to load.
      worker.current?.started.stop();
      worker.current = null;
      setTold({ key, state: 'failed' });
    });
    return () => {
      stopped = true;
    };
  }, [key, facts.id, settings.wheel]);

  // The model is there by the time that a photograph has come in.
  const isOpen = open !== null;
  const framing = JSON.stringify(development);
  useEffect(() => {
    if (!isOpen) return;
    const ready = readyWorker(worker, facts.id, given.current.development);
    // A server that was away may be back by the time that a photograph has come in: then it is loaded anew.
    ready.loaded.catch(() => {
      if (worker.current !== ready) return;
      ready.started.stop();
      worker.current = null;
    });
  }, [isOpen, facts.id, framing]);

  useEffect(
    () => () => {
      worker.current?.started.stop();
      worker.current = null;
    },
    [],
  );

  const shown = done?.key === key ? done.laid : null;
  const pictures = useLooked(shown, view.as, document.values.squint, worker);
  const stop = useCallback(() => {
    worker.current?.started.stop();
    worker.current = null;
    setStage(null);
    setTold((was) => was && { ...was, state: 'stopped' });
  }, []);
  return {
    state: key === null ? 'none' : told?.key === key ? told.state : 'working',
    stage,
    corners: shown?.corners ?? null,
    pictures,
    stop,
    again: useCallback(() => setAttempt((n) => n + 1), []),
  };
}
