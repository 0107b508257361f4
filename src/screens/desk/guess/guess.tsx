'use client';

import { useState } from 'react';
import { INTENSITY_WORDS, type IntensityWord } from '@/core/colour/intensity';
import type { ThreeAnswers } from '@/core/drills/three-questions';
import { wheelOf } from '@/core/colour/wheel';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { initials } from '@/ui/tide';
import { valueWords } from '@/ui/words';

interface Props {
  /** Whether there is something to hold the guess against. */
  ready: boolean;
  onGuess: (answers: ThreeAnswers) => void;
  onSkip: () => void;
}

const MIDDLE = 5;

/** What the person sees at a place, before its reading is shown. */
export function Guess({ ready, onGuess, onSkip }: Props) {
  const { settings } = useSettings();
  const { families } = wheelOf(settings.wheel);
  const [family, setFamily] = useState<number | null>(null);
  const [value, setValue] = useState(MIDDLE);
  const [intensity, setIntensity] = useState<IntensityWord | null>(null);
  const isAnswered = family !== null && intensity !== null;
  return (
    <form
      className="mt-1 flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (isAnswered) onGuess({ family, value, intensity });
      }}
    >
      <div>
        <p className="text-sm text-soft">
          Which family? <span className="text-ink">{family === null ? '' : families[family]}</span>
        </p>
        <Choice
          label="Family"
          showLabel={false}
          columns={6}
          value={family === null ? '' : String(family)}
          options={families.map((name, i) => ({
            value: String(i),
            title: initials(name),
            said: name,
          }))}
          onChange={(next) => setFamily(Number(next))}
        />
      </div>
      <Slider
        label="How light?"
        value={value}
        min={0}
        max={10}
        step={0.25}
        words={valueWords(value, settings.scale)}
        onChange={setValue}
      />
      <div>
        <p className="text-sm text-soft">How intense?</p>
        <Choice
          label="Intensity"
          showLabel={false}
          columns={3}
          value={intensity ?? ''}
          options={INTENSITY_WORDS.map((word) => ({ value: word, title: word }))}
          onChange={(next) => setIntensity(next as IntensityWord)}
        />
      </div>
      <div className="flex gap-2">
        <Button type="submit" weight="strong" className="grow" disabled={!ready || !isAnswered}>
          Show the reading
        </Button>
        <Button weight="quiet" onClick={onSkip}>
          Skip
        </Button>
      </div>
    </form>
  );
}
