'use client';

import { useEffect, useRef, useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { DrillAnswer } from '@/contracts/practice';
import { call } from '@/ui/api';
import { useChanged } from '@/ui/queries';
import { answerSender, BROWSER_STORE, type AnswerSender } from './unsent-answers';

const AGAIN_AFTER = 4000;

interface Sending {
  /** Whether the server has all answers. */
  isKept: boolean;
  /** What was answered on this page, whether the server has it or not. */
  given: readonly DrillAnswer[];
  keep: (answer: DrillAnswer) => void;
}

/** Sends answers and, again and again, what the server didn't take. */
export function useAnswerSender(): Sending {
  const [isKept, setKept] = useState(true);
  const [given, setGiven] = useState<readonly DrillAnswer[]>([]);
  const sender = useRef<AnswerSender | null>(null);
  const changed = useChanged(endpoints.practiceRecord);
  useEffect(() => {
    const own = answerSender(BROWSER_STORE, async (answers) => {
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
    setGiven((was) => [...was, answer]);
    if (sender.current) watch(sender.current.send(answer), setKept);
  };
  return { isKept, given, keep };
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
