'use client';

import { useRef, useState, type ReactNode } from 'react';
import { PICTURE_STEPS, type PictureEvent, type PictureStep } from '@/contracts/picture-events';
import { RefusedError } from '@/ui/api';
import { Button } from '@/ui/button';
import { fileName, keepFile } from '@/ui/keep-file';
import { say, showError } from '@/ui/notices';
import { percent } from '@/ui/words';
import { useDeskStore } from './desk-store';

interface Props {
  /** What the file is called after the study's title. */
  about: string;
  /** What is said while it is made. */
  making: string;
  /** Asks for the picture and takes what is said of it. */
  send: (signal: AbortSignal, take: (event: PictureEvent) => void) => Promise<void>;
  /** The buttons that are there while nothing is made; `save` begins. */
  children: (save: () => void) => ReactNode;
}

/** The picture made at the size it came in, as PNG: with how far it is, and to be stopped. */
export function FullSizePicture({ about, making, send, children }: Props) {
  const store = useDeskStore();
  const [progress, setProgress] = useState<{ step: PictureStep; share: number } | null>(null);
  const running = useRef<AbortController | null>(null);
  const words: Record<PictureStep, string> = {
    reading: 'Reading the original',
    making,
    writing: 'Writing the PNG',
  };

  const save = async () => {
    const stopper = new AbortController();
    running.current = stopper;
    setProgress({ step: 'reading', share: 0 });
    try {
      const { title } = store.getState().history.present;
      const pieces: Uint8Array<ArrayBuffer>[] = [];
      let whole = false;
      await send(stopper.signal, (event) => {
        if (event.event === 'step') setProgress(event);
        if (event.event === 'piece')
          pieces.push(Uint8Array.from(atob(event.base64), (one) => one.charCodeAt(0)));
        if (event.event === 'refused')
          throw new RefusedError(event.error.code, event.error.message, 400);
        if (event.event === 'done') whole = true;
      });
      if (!whole) throw new Error('The picture did not arrive whole. Nothing was kept; try again.');
      keepFile(new Blob(pieces, { type: 'image/png' }), fileName(title, about, 'png'));
    } catch (error) {
      if (stopper.signal.aborted) say('Stopped. Nothing was written.');
      else showError(error);
    } finally {
      running.current = null;
      setProgress(null);
    }
  };

  if (!progress) return children(() => void save());
  return (
    <div className="w-full pt-1">
      <div className="flex items-center gap-3">
        <p role="status" className="grow text-[15px] leading-snug">
          {words[progress.step]}
          {progress.share > 0 ? `, ${percent(progress.share)}` : ' …'}
        </p>
        <Button onClick={() => running.current?.abort()}>Stop</Button>
      </div>
      <div className="mt-1 h-1.5 bg-faint" aria-hidden>
        <div className="h-full bg-ink" style={{ width: `${overall(progress) * 100}%` }} />
      </div>
    </div>
  );
}

function overall({ step, share }: { step: PictureStep; share: number }): number {
  return (PICTURE_STEPS.indexOf(step) + share) / PICTURE_STEPS.length;
}
