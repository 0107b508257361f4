'use client';

import { useRef, useState } from 'react';
import { PICTURE_STEPS, type PictureEvent, type PictureStep } from '@/contracts/picture-events';
import { RefusedError } from '@/ui/api';
import { Button } from '@/ui/button';
import { fileName, keepFile } from '@/ui/keep-file';
import { say, showError } from '@/ui/notices';
import { percent } from '@/ui/words';
import { useDeskStore } from './desk-store';

/** What is told of a picture that is being made; null while none is. */
export interface FullSize {
  progress: { step: PictureStep; share: number } | null;
  save: () => void;
  stop: () => void;
}

/** Makes the picture at the size it came in and hands it over as PNG, named after the study and `about`; `send` asks for it. */
export function useFullSize(
  about: string,
  send: (signal: AbortSignal, take: (event: PictureEvent) => void) => Promise<void>,
): FullSize {
  const store = useDeskStore();
  const [progress, setProgress] = useState<FullSize['progress']>(null);
  const running = useRef<AbortController | null>(null);

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

  return { progress, save: () => void save(), stop: () => running.current?.abort() };
}

/** How far a picture is that is being made, and a way to stop it. */
export function FullSizeProgress({
  progress,
  making,
  onStop,
}: {
  progress: NonNullable<FullSize['progress']>;
  /** What is said while it is made. */
  making: string;
  onStop: () => void;
}) {
  const words: Record<PictureStep, string> = {
    reading: 'Reading the original',
    making,
    writing: 'Writing the PNG',
  };
  return (
    <div className="w-full pt-1">
      <div className="flex items-center gap-3">
        <p role="status" className="grow text-[15px] leading-snug">
          {words[progress.step]}
          {progress.share > 0 ? `, ${percent(progress.share)}` : ' …'}
        </p>
        <Button onClick={onStop}>Stop</Button>
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
