'use client';

import type { Wheel } from '@/core/colour/wheel';
import type { Tube } from '@/core/mixing/tube';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { capital, count, several } from '@/ui/words';
import { promptOf } from './question-words';
import type { Told } from './round-store';
import type { SendState } from '../use-answer-sender';
import { TruthView } from './truth-view';
import { whyOf } from './why';

const KEPT_WORDS: Readonly<Record<SendState, string>> = {
  kept: 'All answers are kept.',
  sending: 'The answers are being sent …',
  waiting:
    'The server doesn’t answer. The answers are kept in this browser, and sent when it is back.',
};

/** How a round went: what was missed once more, side by side. */
export function RoundEnd({
  done,
  wheel,
  sendState,
  tubes,
  nameOf,
  onEnd,
}: {
  done: readonly Told[];
  wheel: Wheel;
  sendState: SendState;
  tubes: readonly Tube[];
  nameOf: (word: string) => string;
  onEnd: () => void;
}) {
  const { settings } = useSettings();
  const scored = done.filter(({ outcome }) => outcome.isRight !== null);
  const missed = scored.filter(({ outcome }) => !outcome.isRight);
  return (
    <div className="mx-auto flex w-full max-w-5xl grow flex-col gap-5 bg-panel p-6 text-ink">
      <p className="font-serif text-2xl leading-tight text-pretty" data-testid="finding">
        {done.length === 0
          ? 'There is nothing to ask of: this screen shows too little of the dark or of the light.'
          : `${capital(several(done.length, 'question'))}, ${missed.length === 0 ? 'none missed' : `${count(missed.length)} missed: what was missed comes again`}.`}
      </p>
      <p className="text-soft">{KEPT_WORDS[sendState]}</p>
      <div>
        <Button weight="strong" className="min-h-12 px-8" onClick={onEnd} autoFocus>
          To the profile
        </Button>
      </div>
      <ul aria-label="What was missed" className="grid gap-5 sm:grid-cols-2 lg:grid-cols-3">
        {missed.map((told, i) => (
          <li key={i} className="flex flex-col gap-1.5 border-t pt-2">
            <p className="text-sm text-soft">{promptOf(told.question)}</p>
            <div className="flex h-32">
              <TruthView told={told} wheel={wheel} tubes={tubes} />
            </div>
            <p>
              {whyOf({
                ...told,
                scale: settings.scale,
                wheel,
                surround: settings.surround,
                nameOf,
              })}
            </p>
          </li>
        ))}
      </ul>
    </div>
  );
}
