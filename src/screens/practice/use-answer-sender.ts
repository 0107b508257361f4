'use client';

import { useEffect, useRef, useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { DrillAnswer } from '@/contracts/practice';
import { call } from '@/ui/api';
import { useChanged } from '@/ui/queries';
import { answerSender, type AnswerSender } from './unsent-answers';

const AGAIN_AFTER = 4000;

/** Sends answers and, again and again, what the server didn't take; `isKept` says whether it has all. */
export function useAnswerSender(): { isKept: boolean; keep: (answer: DrillAnswer) => void } {
  const [isKept, setKept] = useState(true);
  const sender = useRef<AnswerSender | null>(null);
  const changed = useChanged(endpoints.practiceRecord);
  useEffect(() => {
    const own = answerSender(localStorage, async (answers) => {
      await call(endpoints.keepAnswers, { body: answers }, { keepalive: true });
    });
    sender.current = own;
    if (own.count() > 0) watch(own.sendAll(), setKept, changed);
  }, [changed]);
  useEffect(() => {
    if (isKept) return;
    const timer = setInterval(() => {
      if (sender.current) watch(sender.current.sendAll(), setKept, changed);
    }, AGAIN_AFTER);
    return () => clearInterval(timer);
  }, [isKept, changed]);
  const keep = (answer: DrillAnswer) => {
    if (sender.current) watch(sender.current.send(answer), setKept);
  };
  return { isKept, keep };
}

function watch(
  sent: Promise<void>,
  setKept: (isKept: boolean) => void,
  onSent?: () => unknown,
): void {
  sent.then(
    () => {
      setKept(true);
      onSent?.();
    },
    () => setKept(false),
  );
}
