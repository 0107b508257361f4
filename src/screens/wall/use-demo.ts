'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { demoEventSchema, type DemoEvent } from '@/contracts/demo';
import { callInLines, RefusedError } from '@/ui/api';
import { say, showError } from '@/ui/notices';

export type DemoStep = Extract<DemoEvent, { event: 'step' }>;

/** Starts the demo again, follows it study by study, and can stop between two of them. */
export function useDemo() {
  const router = useRouter();
  const [step, setStep] = useState<DemoStep | null>(null);
  const stopper = useRef<AbortController | null>(null);

  const start = async () => {
    const { signal } = (stopper.current = new AbortController());
    setStep({ event: 'step', done: 0, total: 1, title: '' });
    try {
      await callInLines('POST', '/api/demo', demoEventSchema, signal, (event) => {
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
      router.refresh();
    }
  };
  return { step, start, stop: () => stopper.current?.abort() };
}
