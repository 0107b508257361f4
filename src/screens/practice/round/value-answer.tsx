'use client';

import { useMemo } from 'react';
import { useSettings } from '@/ui/settings';
import { valueWords } from '@/ui/words';
import { stepOfKey, valueSteps } from './value-steps';
import { useKeys } from './use-keys';

/** A value on the person's scale, from dark to light. It shows no greys: those would be held against the colour. */
export function ValueAnswer({ onValue }: { onValue: (value: number) => void }) {
  const { settings } = useSettings();
  const steps = useMemo(() => valueSteps(settings.scale), [settings.scale]);
  useKeys((event) => {
    const step = stepOfKey(event, steps);
    if (step) onValue(step.value);
    return step !== null;
  });
  return (
    <div className="w-full max-w-5xl">
      <div className="flex justify-between pb-1">
        <span>dark</span>
        <span className="max-sm:hidden">a figure answers; with Shift the dot after it</span>
        <span>light</span>
      </div>
      <ul aria-label="Answers" className="flex flex-wrap border-l border-ink">
        {steps.map(({ value, mark }) => (
          <li key={value} className="flex min-w-10 grow basis-0">
            <button
              type="button"
              aria-label={`Value ${valueWords(value, settings.scale)}`}
              className={`flex h-14 grow items-center justify-center border-y border-r border-ink bg-sheet text-ink hover:bg-faint ${mark === null ? 'text-soft' : 'text-lg font-semibold'}`}
              onClick={() => onValue(value)}
            >
              {mark ?? '·'}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
