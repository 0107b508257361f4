'use client';

import { useEffect, useRef, useState } from 'react';
import { useStore, type StoreApi } from 'zustand';
import type { Wheel } from '@/core/colour/wheel';
import type { Tube } from '@/core/mixing/tube';
import type { Answer } from '@/core/drills/question';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { useNow } from '@/ui/use-now';
import { AnswerForm } from './answer-form';
import { promptOf } from './question-words';
import type { RoundState } from './round-store';
import { RoundEnd } from './round-end';
import { ShownColours } from './shown-colours';
import type { SendState } from '../use-answer-sender';
import { TruthView } from './truth-view';
import { useKeys } from './use-keys';
import { whyOf } from './why';

const MINUTE = 60_000;

/** Questions one at a time on the person's surround, the whole screen; stopped at any time. */
export function Round({
  store,
  wheel,
  minutes,
  beganAt,
  sendState,
  tubes,
  nameOf,
  onEnd,
}: {
  store: StoreApi<RoundState>;
  wheel: Wheel;
  minutes: number;
  beganAt: number;
  sendState: SendState;
  tubes: readonly Tube[];
  nameOf: (word: string) => string;
  onEnd: () => void;
}) {
  const { question, told, done, answer, next } = useStore(store);
  const { settings } = useSettings();
  const [isStopped, setStopped] = useState(false);
  const now = useNow(true, beganAt);
  const left = Math.max(0, 1 - (now - beganAt) / (minutes * MINUTE));
  const [isOver, setOver] = useState(false);
  const stop = () => (done.length === 0 ? onEnd() : setStopped(true));
  const goOn = () => (left === 0 ? setOver(true) : next());
  const isEnded = isStopped || isOver || !question;
  useKeys(({ key, target }) => {
    if (isEnded) return false;
    if (key === 'Escape') {
      stop();
      return true;
    }
    const isOnButton = target instanceof Element && target.closest('button') !== null;
    if (!told || isOnButton || (key !== 'Enter' && key !== ' ')) return false;
    goOn();
    return true;
  });
  return (
    <main className="wall fixed inset-0 z-30 flex flex-col overflow-y-auto bg-surround">
      <h1 className="sr-only">A round of practice</h1>
      <div
        role="progressbar"
        aria-label="Time left"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(left * 100)}
        className="h-1 shrink-0"
      >
        <div className="h-full bg-ink" style={{ width: `${left * 100}%` }} />
      </div>
      {isEnded ? (
        <RoundEnd
          done={done}
          wheel={wheel}
          sendState={sendState}
          tubes={tubes}
          nameOf={nameOf}
          onEnd={onEnd}
        />
      ) : (
        <>
          <header className="flex shrink-0 items-start justify-between gap-4 px-5 pt-4">
            <Heading key={done.length} isTold={told !== null}>
              {told ? (
                <>
                  <span className="font-semibold" data-testid="outcome">
                    {told.outcome.isRight === null
                      ? 'Not scored.'
                      : told.outcome.isRight
                        ? 'Right.'
                        : 'Missed.'}
                  </span>{' '}
                  {whyOf({
                    ...told,
                    scale: settings.scale,
                    wheel,
                    surround: settings.surround,
                    nameOf,
                  })}
                </>
              ) : (
                promptOf(question)
              )}
            </Heading>
            <div className="flex shrink-0 items-center gap-3">
              {sendState === 'waiting' && (
                <span role="status" className="max-sm:sr-only">
                  kept in this browser
                </span>
              )}
              <Button onClick={stop}>Stop</Button>
            </div>
          </header>
          <div
            className="flex min-h-0 grow flex-col items-center gap-5 p-5"
            data-testid="question"
            data-kind={question.kind}
          >
            {told ? (
              <>
                <div className="flex min-h-40 w-full grow justify-center">
                  <TruthView told={told} wheel={wheel} tubes={tubes} />
                </div>
                <Button weight="strong" className="min-h-12 px-10" onClick={goOn}>
                  {left === 0 ? 'To the end' : 'Next'}
                </Button>
              </>
            ) : (
              <Asked key={done.length} {...{ question, wheel, nameOf }} onAnswer={answer} />
            )}
          </div>
        </>
      )}
    </main>
  );
}

function Asked({
  question,
  wheel,
  nameOf,
  onAnswer,
}: {
  question: NonNullable<RoundState['question']>;
  wheel: Wheel;
  nameOf: (word: string) => string;
  onAnswer: (answer: Answer) => void;
}) {
  const { shown, form } = question;
  const isAnsweredInPlace = form.by === 'place' || form.by === 'order' || form.by === 'match';
  return (
    <>
      {!isAnsweredInPlace && (
        <div className="flex min-h-40 w-full grow basis-0 justify-center">
          <ShownColours shown={shown} form={form} nameOf={nameOf} />
        </div>
      )}
      <div
        className={`flex w-full justify-center ${isAnsweredInPlace ? 'min-h-52 grow' : form.by === 'colour' ? 'min-h-32 grow basis-0' : ''}`}
      >
        <AnswerForm question={question} wheel={wheel} nameOf={nameOf} onAnswer={onAnswer} />
      </div>
    </>
  );
}

/** The question, and then its answer: read out when it changes, and where the focus is, so that keys are for the question. */
function Heading({ isTold, children }: { isTold: boolean; children: React.ReactNode }) {
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), [isTold]);
  return (
    <h2
      ref={heading}
      tabIndex={-1}
      data-testid="finding"
      className="max-w-3xl font-serif text-2xl leading-tight text-pretty outline-none focus-visible:shadow-none"
    >
      {children}
    </h2>
  );
}
