'use client';

import { useRef, useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { PUSH_STEPS } from '@/contracts/push-request';
import { callInLines, RefusedError } from '@/ui/api';
import { Button } from '@/ui/button';
import { fileName, keepFile } from '@/ui/keep-file';
import { say, showError } from '@/ui/notices';
import { percent } from '@/ui/words';
import { useDeskStore } from '../../desk-store';
import { useStudyId } from '../../facts';
import { pushSettingsOf } from '@/contracts/push-request';
import { Section } from '../../panel/panel-parts';
import { SheetDialog } from './sheet-dialog';

type Step = (typeof PUSH_STEPS)[number];
const STEP_WORDS: Record<Step, string> = {
  reading: 'Reading the original',
  pushing: 'Strengthening it tile by tile',
  writing: 'Writing the PNG',
};

/** The pushed picture as a file: at its own size, or beside the original on a sheet. */
export function ExportPicture() {
  const store = useDeskStore();
  const studyId = useStudyId();
  const [progress, setProgress] = useState<{ step: Step; share: number } | null>(null);
  const [sheet, setSheet] = useState(false);
  const running = useRef<AbortController | null>(null);

  const carry = async () => {
    const stopper = new AbortController();
    running.current = stopper;
    setProgress({ step: 'reading', share: 0 });
    try {
      const document = store.getState().history.present;
      const pieces: Uint8Array<ArrayBuffer>[] = [];
      let whole = false;
      const { framing, neutral } = document;
      await callInLines(
        endpoints.pushStudy,
        { id: studyId, body: { settings: pushSettingsOf(document), framing, neutral } },
        stopper.signal,
        (event) => {
          if (event.event === 'step') setProgress(event);
          if (event.event === 'piece')
            pieces.push(Uint8Array.from(atob(event.base64), (one) => one.charCodeAt(0)));
          if (event.event === 'refused')
            throw new RefusedError(event.error.code, event.error.message, 400);
          if (event.event === 'done') whole = true;
        },
      );
      if (!whole) throw new Error('The picture did not arrive whole. Nothing was kept; try again.');
      keepFile(
        new Blob(pieces, { type: 'image/png' }),
        fileName(document.title, 'quiet colours strengthened', 'png'),
      );
    } catch (error) {
      if (stopper.signal.aborted) say('Stopped. Nothing was written.');
      else showError(error);
    } finally {
      running.current = null;
      setProgress(null);
    }
  };

  return (
    <Section title="Export" aside="sRGB, original size">
      {progress ? (
        <div className="pt-1">
          <div className="flex items-center gap-3">
            <p role="status" className="grow text-[15px] leading-snug">
              {STEP_WORDS[progress.step]}
              {progress.share > 0 ? `, ${percent(progress.share)}` : ' …'}
            </p>
            <Button onClick={() => running.current?.abort()}>Stop</Button>
          </div>
          <div className="mt-1 h-1.5 bg-faint" aria-hidden>
            <div className="h-full bg-ink" style={{ width: `${overall(progress) * 100}%` }} />
          </div>
        </div>
      ) : (
        <div className="flex gap-2 pt-1">
          <Button className="grow" onClick={() => void carry()}>
            Picture as PNG
          </Button>
          <Button className="grow" onClick={() => setSheet(true)}>
            Before and after …
          </Button>
        </div>
      )}
      {sheet && <SheetDialog onClose={() => setSheet(false)} />}
    </Section>
  );
}

function overall({ step, share }: { step: Step; share: number }): number {
  return (PUSH_STEPS.indexOf(step) + share) / PUSH_STEPS.length;
}
