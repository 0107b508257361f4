'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { DrillAnswer } from '@/contracts/practice';
import { call } from '@/ui/api';
import { useChanged } from '@/ui/queries';
import { answerSender, BROWSER_STORE, type AnswerSender } from './unsent-answers';

const AGAIN_AFTER = 4000;

/** Whether the server has all answers, they are on their way, or wait in this browser for it to answer. */
export type SendState = 'kept' | 'sending' | 'waiting';

interface Sending {
  state: SendState;
  /** What was answered on this page, whether the server has it or not. */
  given: readonly DrillAnswer[];
  keep: (answer: DrillAnswer) => void;
}

/** Sends answers and, again and again, what the server didn't take. */
export function useAnswerSender(): Sending {
  const [state, setState] = useState<SendState>('kept');
  const [given, setGiven] = useState<readonly DrillAnswer[]>([]);
  const sender = useRef<AnswerSender | null>(null);
  const changed = useChanged(endpoints.practiceRecord);

  const follow = useCallback(
    (sent: Promise<void>) =>
      sent.then(
        () => setState(sender.current?.count() === 0 ? 'kept' : 'sending'),
        () => setState('waiting'),
      ),
    [],
  );
  const sendAll = useCallback(() => {
    if (!sender.current) return;
    const sent = sender.current.sendAll();
    void follow(sent);
    // Only a server that is there has anything new.
    sent.then(changed, () => undefined);
  }, [follow, changed]);

  useEffect(() => {
    sender.current = answerSender(BROWSER_STORE, async (answers) => {
      await call(endpoints.keepAnswers, { body: answers }, { keepalive: true });
    });
    if (sender.current.count() > 0) sendAll();
  }, [sendAll]);
  useEffect(() => {
    if (state !== 'waiting') return;
    const timer = setInterval(sendAll, AGAIN_AFTER);
    return () => clearInterval(timer);
  }, [state, sendAll]);

  const keep = (answer: DrillAnswer) => {
    setGiven((was) => [...was, answer]);
    setState((was) => (was === 'kept' ? 'sending' : was));
    if (sender.current) void follow(sender.current.send(answer));
  };
  return { state, given, keep };
}
