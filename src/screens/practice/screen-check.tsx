'use client';

import { useState } from 'react';
import { atValue } from '@/core/colour/at-value';
import { hexFromOklab } from '@/core/colour/hex';
import { DARK_STEPS, LIGHT_STEPS, screenLimits, type ToldApart } from '@/core/drills/screen-check';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { choiceOf, useKeys } from './round/use-keys';
import { screenSentence } from './screen-words';
import { ROOMS, storeScreen, type CheckedScreen } from './screen-store';

const QUARTERS = 4;
type End = 'dark' | 'light';
const STEPS: Readonly<Record<End, readonly number[]>> = { dark: DARK_STEPS, light: LIGHT_STEPS };
const OUTERMOST: Readonly<Record<End, number>> = { dark: 0, light: 10 };

const greyOf = (value: number) => hexFromOklab(atValue(value, 0, () => 0));
const anyQuarter = () => Math.floor(Math.random() * QUARTERS);
const none = (): ToldApart => ({
  dark: DARK_STEPS.map(() => false),
  light: LIGHT_STEPS.map(() => false),
});

type Room = (typeof ROOMS)[number];

/**
 * Finds what the screen shows near black and near white: a step at a time from the middle outward, one quarter of four is the
 * next step; the end is reached where it isn't found.
 */
export function ScreenCheck({ onDone }: { onDone: (checked: CheckedScreen | null) => void }) {
  const { settings } = useSettings();
  const [room, setRoom] = useState<Room>('dim');
  const [isBegun, setBegun] = useState(false);
  const [end, setEnd] = useState<End>('dark');
  const [step, setStep] = useState(DARK_STEPS.length - 1);
  const [quarter, setQuarter] = useState(anyQuarter);
  const [told, setTold] = useState(none);
  const [isBlind, setBlind] = useState(false);
  const [checked, setChecked] = useState<CheckedScreen | null>(null);

  const finish = (all: ToldApart) => {
    const limits = screenLimits(all);
    if (!limits) return setBlind(true);
    const found = { at: Date.now(), room, ...limits };
    storeScreen(found);
    setChecked(found);
  };
  const answer = (chosen: number | null) => {
    const isTold = chosen === quarter;
    const all = { ...told, [end]: told[end].map((was, i) => (i === step ? isTold : was)) };
    setTold(all);
    setQuarter(anyQuarter());
    if (isTold && step > 0) setStep(step - 1);
    else if (end === 'dark') {
      setEnd('light');
      setStep(LIGHT_STEPS.length - 1);
    } else finish(all);
  };
  const isAsking = isBegun && !isBlind && !checked;
  useKeys(({ key }) => {
    if (key === 'Escape') {
      onDone(null);
      return true;
    }
    const chosen = choiceOf(key, QUARTERS);
    if (!isAsking || (chosen === null && key !== '0')) return false;
    answer(chosen);
    return true;
  });

  if (checked)
    return (
      <main className="wall fixed inset-0 z-30 flex flex-col items-center justify-center gap-6 overflow-y-auto bg-surround p-6">
        <h1
          className="max-w-2xl font-serif text-2xl leading-tight text-pretty"
          data-testid="finding"
        >
          {screenSentence(checked, settings.scale)}
        </h1>
        <Button weight="strong" className="min-h-12 px-8" onClick={() => onDone(checked)} autoFocus>
          Go on
        </Button>
      </main>
    );
  if (!isAsking)
    return (
      <main className="wall fixed inset-0 z-30 flex flex-col items-center justify-center gap-6 overflow-y-auto bg-surround p-6">
        <h1 className="max-w-2xl font-serif text-2xl leading-tight text-pretty">
          {isBlind
            ? 'In this room the screen shows no steps at one of its ends. Turn it brighter, or the light away from it, and try again: until then nothing that hangs on value can be asked honestly.'
            : 'What does this screen show? Questions leave out the darks and the lights that can’t be told apart on it.'}
        </h1>
        <div className="bg-panel p-3 text-ink">
          <Choice
            label="The room is"
            value={room}
            options={ROOMS.map((value) => ({ value, title: value }))}
            onChange={setRoom}
          />
        </div>
        <div className="flex gap-3">
          <Button
            weight="strong"
            className="min-h-12 px-8"
            onClick={() => {
              setTold(none());
              setEnd('dark');
              setStep(DARK_STEPS.length - 1);
              setBlind(false);
              setBegun(true);
            }}
          >
            Check the screen
          </Button>
          <Button className="min-h-12" onClick={() => onDone(null)}>
            Not now
          </Button>
        </div>
      </main>
    );
  const base = step === 0 ? OUTERMOST[end] : STEPS[end][step - 1];
  const ink = end === 'dark' ? 'text-white' : 'text-black';
  return (
    <main
      className={`fixed inset-0 z-30 flex flex-col items-center justify-center gap-6 p-6 ${ink}`}
      style={{ background: greyOf(base) }}
    >
      <h1 className="font-serif text-2xl" data-testid="finding">
        Which quarter is {end === 'dark' ? 'lighter' : 'darker'}?
      </h1>
      <ul aria-label="Quarters" className="grid h-80 w-80 max-w-full grid-cols-2">
        {Array.from({ length: QUARTERS }, (_, i) => (
          <li key={i} className="flex">
            <button
              type="button"
              aria-label={`Quarter ${i + 1}`}
              className="grow p-2 text-left opacity-100"
              style={{ background: greyOf(i === quarter ? STEPS[end][step] : base) }}
              onClick={() => answer(i)}
            >
              <kbd aria-hidden className="font-sans text-sm">
                {i + 1}
              </kbd>
            </button>
          </li>
        ))}
      </ul>
      {/* Nothing bright: an eye that looks at it sees less of the dark. */}
      <button
        type="button"
        className="min-h-12 border border-current px-4"
        onClick={() => answer(null)}
      >
        <kbd className="font-sans">0</kbd> I see none
      </button>
    </main>
  );
}
