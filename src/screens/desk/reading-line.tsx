'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { intensityShare } from '@/core/colour/intensity';
import { nameParts } from '@/core/colour/name';
import { oklchFromOklab } from '@/core/colour/oklab';
import { temperature } from '@/core/colour/temperature';
import { valueOfOklab } from '@/core/colour/value';
import type { Probe } from '@/core/picture/probe';
import { useSettings } from '@/ui/settings';
import { capital, percent, valueWords } from '@/ui/words';
import { useDesk } from './desk-store';
import { useAnswer, type Answer } from './use-answer';
import type { Point } from './view';

/** What is under the pointer, in words and numbers. */
export function ReadingLine() {
  const pointer = useDesk((state) => state.pointer);
  const { value: reading, stale } = useReading(pointer);
  const guessing = useDesk((state) => state.guessing);
  const { settings } = useSettings();
  if (guessing)
    return (
      <p className="flex h-full items-center px-4 text-soft" data-testid="reading-line">
        Nothing is read until you have said what you see.
      </p>
    );
  if (!reading)
    return (
      <p className="flex h-full items-center px-4 text-soft" data-testid="reading-line">
        Point at the picture to read a place; on the keyboard, go to the picture and move with the
        arrows.
      </p>
    );
  const { colour, spread } = reading;
  const name = nameParts(colour);
  const oklch = oklchFromOklab(colour);
  const warm = temperature(colour);
  return (
    <div
      className="flex h-full items-center gap-4 px-4"
      data-testid="reading-line"
      data-stale={stale || undefined}
    >
      <span className="h-9 w-9 shrink-0" style={{ background: hexFromOklab(colour) }} />
      <p className="min-w-0 grow font-serif text-lg leading-tight">
        {capital(name.short)}
        {name.leaning && <em>, leaning {name.leaning}</em>}
        {name.everyday && <span className="text-soft"> ({name.everyday})</span>}
      </p>
      <dl className="flex shrink-0 gap-5 text-sm leading-tight">
        <Figure term="value" words={valueWords(valueOfOklab(colour), settings.scale)} />
        <Figure term="intensity" words={percent(intensityShare(oklch))} />
        <Figure term={warm < 0 ? 'cool' : 'warm'} words={Math.abs(warm).toFixed(1)} />
        <Figure term="spread" words={spread.toFixed(1)} />
        <Figure term="hex" words={hexFromOklab(colour)} />
      </dl>
    </div>
  );
}

function Figure({ term, words }: { term: string; words: string }) {
  return (
    <div>
      <dt className="text-soft">{term}</dt>
      <dd>{words}</dd>
    </div>
  );
}

function useReading(pointer: Point | null): Answer<Probe | null> {
  const { settings } = useSettings();
  return useAnswer<'probe'>(
    pointer && { kind: 'probe', place: pointer, radius: settings.pickRadius },
    true,
  );
}
