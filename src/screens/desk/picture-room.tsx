'use client';

import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { toFramed, toOriginal, type Framing, type Place } from '@/core/picture/framing';
import type { Picture } from '@/core/picture/picture';
import type { Area } from '@/contracts/colour';
import type { Study } from '@/contracts/study';
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

interface Developed {
  canvas: HTMLCanvasElement;
  generation: number;
  framing: Framing;
}

export function PictureProvider({ study, children }: { study: Study; children: ReactNode }) {
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
        (development: { framing: Framing; cast: { L: number; a: number; b: number } | null }) =>
          worker.develop(development),
        (picture, { framing: of }) => {
          const canvas = drawPicture(picture);
          setDeveloped((was) => ({ canvas, generation: (was?.generation ?? 0) + 1, framing: of }));
        },
        () =>
          setFailed('The picture could not be developed. Your study is kept; please try again.'),
      ),
    [worker],
  );

  useEffect(() => {
    if (loaded) developer?.ask({ framing, cast: neutral?.cast ?? null });
  }, [loaded, developer, framing, neutral]);

  const room = useMemo((): PictureRoom | null => {
    if (!worker) return null;
    const aspect = width / height;
    const shown = developed?.framing ?? framing;
    const diagonal = Math.hypot(width, height);
    const shownDiagonal = developed
      ? Math.hypot(developed.canvas.width, developed.canvas.height)
      : diagonal;
    return {
      ask: worker.ask,
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
  }, [worker, developed, framing, failed, width, height]);

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

function bounded(n: number): number {
  return Math.min(1, Math.max(0, n));
}
