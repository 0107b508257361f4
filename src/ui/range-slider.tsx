'use client';

import { Slider as Radix } from 'radix-ui';

interface Props {
  label: string;
  value: readonly [number, number];
  min: number;
  max: number;
  step: number;
  /** A place in words, for readers. */
  wordsOf: (value: number) => string;
  onChange: (value: [number, number]) => void;
}

/** Two ends of a range on one track. */
export function RangeSlider({ label, value, min, max, step, wordsOf, onChange }: Props) {
  return (
    <Radix.Root
      className="relative flex h-10 w-full touch-none items-center"
      value={[...value]}
      min={min}
      max={max}
      step={step}
      onValueChange={([from, to]) => onChange([from, to])}
    >
      <Radix.Track className="relative h-px grow bg-ink">
        <Radix.Range className="absolute h-[3px] -translate-y-px bg-ink" />
      </Radix.Track>
      {(['from', 'to'] as const).map((end, i) => (
        <Radix.Thumb
          key={end}
          aria-label={`${label}, ${end}`}
          aria-valuetext={wordsOf(value[i])}
          className="block h-7 w-3 border border-ink bg-sheet before:absolute before:-inset-x-3 before:-inset-y-2 before:content-['']"
        />
      ))}
    </Radix.Root>
  );
}
