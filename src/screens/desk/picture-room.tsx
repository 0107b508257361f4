'use client';

import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { toFramed, toOriginal, type Framing, type Place } from '@/core/picture/framing';
import type { Picture } from '@/core/picture/picture';
import type { Area } from '@/contracts/colour';
import { queryKey } from '@/contracts/desk-query/desk-query';
import type { StoredAnswers } from '@/contracts/desk-query/opening-queries';
import type { Study, StudyDocument } from '@/contracts/study';
import type { Ask } from '@/workers/browser/query-queue';
import { startDeskWorker, type StartedWorker } from '@/workers/browser/start';
import { useDocument } from './desk-store';
import { latest } from './latest';

/** The picture as the Desk has it now, and the worker that measures it. */
export interface PictureRoom {
  ask: Ask;
  /** The developed picture, drawn; null until the first one is there. */
  canvas: HTMLCanvasElement | null;
  /** Counts developments: whatever was measured under another number is out of date. */
  generation: number;
  framing: Framing;
  failed: string | null;
  /**
   * Between the framed picture and the original: places, and radii as shares of each one's diagonal.
   * Places are held inside the original unless they may lie beyond it.
   */
  originalArea: (place: Place, radius: number, beyond?: boolean) => Area;
  framedArea: (area: Area) => Area;
  retry: () => void;
}

const PictureContext = createContext<PictureRoom | null>(null);

export function usePicture(): PictureRoom {
  const room = useContext(PictureContext);
  if (!room) throw new Error('usePicture outside a Desk');
  return room;
}

interface Development {
  framing: Framing;
  cast: NonNullable<StudyDocument['neutral']>['cast'] | null;
}

interface Developed extends Development {
  canvas: HTMLCanvasElement;
  generation: number;
}

/** `stored` are answers about the picture as the study was opened: only what they don't hold is asked of the worker. */
export function PictureProvider({
  study,
  stored,
  children,
}: {
  study: Study;
  stored: StoredAnswers | null;
  children: ReactNode;
}) {
  const framing = useDocument((document) => document.framing);
  const neutral = useDocument((document) => document.neutral);
  const [worker, setWorker] = useState<StartedWorker | null>(null);
  const [loaded, setLoaded] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const [attempt, setAttempt] = useState(0);
  const [developed, setDeveloped] = useState<Developed | null>(null);
  const { workingWidth: width, workingHeight: height } = study.picture;

  useEffect(() => {
    const started = startDeskWorker();
    let stopped = false;
    started
      .load(
        new URL(
          hrefOf(endpoints.getPicture, { id: study.picture.id, rendition: 'working' }),
          location.href,
        ).href,
        study.picture.quality,
      )
      .then(
        () => {
          if (stopped) return;
          setWorker(started);
          setLoaded(true);
          setFailed(null);
        },
        () => {
          if (!stopped)
            setFailed(
              'The picture could not be fetched. Your study is kept; check that Bold Prism is running and try again.',
            );
        },
      );
    return () => {
      stopped = true;
      setLoaded(false);
      started.stop();
    };
  }, [study.picture.id, study.picture.quality, attempt]);

  const developer = useMemo(
    () =>
      worker &&
      latest(
        (development: Development) => worker.develop(development),
        (picture, development) => {
          const canvas = drawPicture(picture);
          setDeveloped((was) => ({
            ...development,
            canvas,
            generation: (was?.generation ?? 0) + 1,
          }));
        },
        () =>
          setFailed('The picture could not be developed. Your study is kept; please try again.'),
      ),
    [worker],
  );

  useEffect(() => {
    if (loaded) developer?.ask({ framing, cast: neutral?.cast ?? null });
  }, [loaded, developer, framing, neutral]);

  const isAsOpened =
    developed !== null &&
    isOf(study.document, { framing: developed.framing, cast: developed.cast });
  const ask = useMemo((): Ask | null => {
    if (!worker || !stored || !isAsOpened) return worker && worker.ask;
    return (query, options) => {
      const known = stored[queryKey(query)];
      // What was stored of a query is of its kind.
      return known === undefined ? worker.ask(query, options) : Promise.resolve(known as never);
    };
  }, [worker, stored, isAsOpened]);

  const room = useMemo((): PictureRoom | null => {
    if (!ask) return null;
    const aspect = width / height;
    const shown = developed?.framing ?? framing;
    const diagonal = Math.hypot(width, height);
    const shownDiagonal = developed
      ? Math.hypot(developed.canvas.width, developed.canvas.height)
      : diagonal;
    return {
      ask,
      canvas: developed?.canvas ?? null,
      generation: developed?.generation ?? 0,
      framing: shown,
      failed,
      originalArea: (place, radius, beyond = false) => {
        const { x, y } = toOriginal(place, shown, aspect);
        const held = beyond ? { x, y } : { x: bounded(x), y: bounded(y) };
        return { ...held, radius: (radius * shownDiagonal) / diagonal };
      },
      framedArea: ({ radius, ...place }) => ({
        ...toFramed(place, shown, aspect),
        radius: (radius * diagonal) / shownDiagonal,
      }),
      retry: () => setAttempt((n) => n + 1),
    };
  }, [ask, developed, framing, failed, width, height]);

  if (!room)
    return (
      <main className="flex h-screen flex-col items-center justify-center gap-4 bg-surround p-8">
        {failed ? (
          <div role="alert" className="max-w-lg bg-panel p-6">
            <p className="font-serif text-2xl">{failed}</p>
            <button
              type="button"
              className="mt-4 min-h-10 border border-ink px-4 font-semibold"
              onClick={() => setAttempt((n) => n + 1)}
            >
              Try again
            </button>
          </div>
        ) : (
          <p role="status" className="bg-panel px-6 py-4 font-serif text-2xl">
            Setting up {study.document.title} …
          </p>
        )}
      </main>
    );
  return <PictureContext.Provider value={room}>{children}</PictureContext.Provider>;
}

/** A picture on a canvas of its own size. */
export function drawPicture({ width, height, data }: Picture): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const bytes = data as Uint8ClampedArray<ArrayBuffer>;
  canvas.getContext('2d')?.putImageData(new ImageData(bytes, width, height), 0, 0);
  return canvas;
}

/** Whether a development is the one that a document has. */
function isOf({ framing, neutral }: StudyDocument, development: Development): boolean {
  return JSON.stringify({ framing, cast: neutral?.cast ?? null }) === JSON.stringify(development);
}

function bounded(n: number): number {
  return Math.min(1, Math.max(0, n));
}
