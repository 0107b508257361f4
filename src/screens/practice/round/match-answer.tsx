'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { intensityWord } from '@/core/colour/intensity';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { wheelPosition, type Wheel } from '@/core/colour/wheel';
import { chromaOf, colourAt } from '@/core/drills/making';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { valueWords } from '@/ui/words';
import { useKeys } from './use-keys';

const MAX_CHROMA = 0.3;
const STAGES = ['value', 'intensity', 'family'] as const;

/** A colour matched by sliders: value first, then intensity, then family; what was set may be set again. */
export function MatchAnswer({
  colour,
  start,
  wheel,
  onMatch,
}: {
  colour: Oklab;
  start: Oklab;
  wheel: Wheel;
  onMatch: (colour: Oklab) => void;
}) {
  const { settings } = useSettings();
  const [stage, setStage] = useState(0);
  const [value, setValue] = useState(() => round(valueOfOklab(start), 0.1));
  const [chroma, setChroma] = useState(() => round(chromaOf(start), 0.005));
  const [position, setPosition] = useState(() =>
    round(wheelPosition(wheel.hueOf(start), wheel), 0.1),
  );
  const own = colourAt(wheel, position, value, chroma);
  const isLast = stage === STAGES.length - 1;
  const goOn = () => (isLast ? onMatch(own) : setStage(stage + 1));
  useKeys(({ key, target }) => {
    const isOnButton = target instanceof Element && target.closest('button') !== null;
    if (key !== 'Enter' || isOnButton) return false;
    goOn();
    return true;
  });
  const { families } = wheel;
  const near = families[Math.round(position) % families.length];
  return (
    <div className="flex h-full w-full max-w-3xl flex-col gap-4">
      <div className="flex min-h-28 grow gap-6">
        <span
          role="img"
          aria-label="The colour to match"
          className="block grow basis-0"
          style={{ background: hexFromOklab(colour) }}
        />
        <span
          role="img"
          aria-label="Yours"
          data-testid="own"
          className="block grow basis-0"
          style={{ background: hexFromOklab(own) }}
        />
      </div>
      <div className="bg-panel px-4 py-2 text-ink">
        <Slider
          label="Value"
          value={value}
          min={0}
          max={10}
          step={0.1}
          words={valueWords(value, settings.scale)}
          onChange={setValue}
        />
        <Slider
          label="Intensity"
          value={chroma}
          min={0}
          max={MAX_CHROMA}
          step={0.005}
          disabled={stage < 1}
          words={stage < 1 ? '' : intensityWord(chroma)}
          onChange={setChroma}
        />
        <Slider
          label="Family"
          value={position}
          min={0}
          max={families.length}
          step={0.1}
          disabled={stage < 2}
          words={stage < 2 ? '' : near}
          onChange={setPosition}
        />
      </div>
      <Button weight="strong" className="min-h-12 self-center px-8" onClick={goOn}>
        {isLast ? 'That matches' : `The ${STAGES[stage]} is right`}
      </Button>
    </div>
  );
}

const round = (number: number, step: number) => Math.round(number / step) * step;
