'use client';

import { useEffect, useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { colourName } from '@/core/colour/name';
import { wheelOf } from '@/core/colour/wheel';
import type { HiddenColour } from '@/core/amplify/hidden';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { capital } from '@/ui/words';
import { useDeskStore } from '../../desk-store';
import { hiddenView } from './hidden-view';
import { Guess } from '../../guess/guess';
import { guessSentence, recordSentence } from '../../guess/guess-sentences';
import { useGuess } from '../../guess/use-guessing';
import { Finding } from '../../panel/panel-parts';
import { departureSentence } from './hidden-sentences';

interface Props {
  colour: HiddenColour;
  index: number;
  onNext: () => void;
  onClose: () => void;
}

/** A hidden colour to guess before it is named: its place is marked, and the guess is scored and kept. */
export function EyeTest({ colour, index, onNext, onClose }: Props) {
  const { lookIn, set } = useDeskStore().getState();
  const { settings } = useSettings();
  const { scores, record, guess, shown, skip } = useGuess(String(index));
  const [family, setFamily] = useState<number | null>(null);

  // The place alone, in the picture as it is: what is pushed would give it away.
  useEffect(() => {
    lookIn(hiddenView, { lens: shown ? 'strengthened' : 'picture' });
    set({ pinned: { kind: 'hidden', index }, guessing: !shown });
    return () => set({ pinned: null, guessing: false });
  }, [lookIn, set, index, shown]);

  if (!shown)
    return (
      <>
        <Finding>Test my eye: what lies {colour.place}?</Finding>
        <Guess
          ready
          onGuess={(answers) => {
            setFamily(answers.family);
            guess(colour.colour, answers);
          }}
          onSkip={skip}
        />
        <Button weight="quiet" className="mt-2" onClick={onClose}>
          Back to the list
        </Button>
      </>
    );
  return (
    <>
      <Finding>
        {capital(colour.readsAs)}, {colour.place}.
      </Finding>
      <div className="mb-2 flex h-16">
        {[colour.colour, colour.pushed].map((one, i) => (
          <span key={i} className="grow" style={{ background: hexFromOklab(one) }} />
        ))}
      </div>
      <p className="text-[15px] leading-snug">
        As it is: {colourName(colour.colour)}. Strengthened: {colourName(colour.pushed)}.
      </p>
      {scores && (
        <p className="mt-2 font-serif text-[17px] leading-tight" role="status">
          {family !== null &&
            `${departureSentence(family, colour.readsAs, wheelOf(settings.wheel))} `}
          {guessSentence(scores, settings.scale)}
        </p>
      )}
      {record && (
        <p className="mt-1 border-t pt-1 text-sm text-soft">
          {recordSentence(record, settings.scale)}
        </p>
      )}
      <div className="mt-3 flex gap-2">
        <Button weight="strong" className="grow" onClick={onNext}>
          Another
        </Button>
        <Button className="grow" onClick={onClose}>
          Back to the list
        </Button>
      </div>
    </>
  );
}
