'use client';

import { useRef, useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { DemoEvent } from '@/contracts/demo';
import { callInLines, RefusedError } from '@/ui/api';
import { say, showError } from '@/ui/notices';
import { useChanged } from '@/ui/queries';

export type DemoStep = Extract<DemoEvent, { event: 'step' }>;

/** Starts the demo again, follows it study by study, and can stop between two of them. */
export function useDemo() {
  const changed = useChanged(...Object.values(endpoints));
  const [step, setStep] = useState<DemoStep | null>(null);
  const stopper = useRef<AbortController | null>(null);

  const start = async () => {
    const { signal } = (stopper.current = new AbortController());
    setStep({ event: 'step', done: 0, total: 1, title: '' });
    try {
      await callInLines(endpoints.startDemo, {}, signal, (event) => {
        if (event.event === 'step') setStep(event);
        if (event.event === 'done') say('The demo is as it was at first.');
        if (event.event === 'refused')
          throw new RefusedError(event.error.code, event.error.message, event.error.status);
      });
    } catch (error) {
      if (signal.aborted) say('Stopped. The studies before this one are as they were at first.');
      else showError(error);
    } finally {
      setStep(null);
      void changed();
    }
  };
  return { step, start, stop: () => stopper.current?.abort() };
}
