'use client';

import { Slider as Radix } from 'radix-ui';
import { useId } from 'react';

interface Props {
  label: string;
  value: number;
  min: number;
  max: number;
  step?: number;
  /** Read out in place of a short label. */
  said?: string;
  /** Only the track: what it is and where it stands is said elsewhere. */
  bare?: boolean;
  disabled?: boolean;
  /** Where what a screen can show ends, and to which side; drawn on the track. */
  edge?: number;
  /** The value in words, beside the track and for screen readers. */
  words: string;
  onChange: (value: number) => void;
  /** When the hand lets go. */
  onCommit?: (value: number) => void;
}

export function Slider({
  label,
  said,
  bare = false,
  disabled,
  edge,
  value,
  min,
  max,
  step = 1,
  words,
  onChange,
  onCommit,
}: Props) {
  const id = useId();
  return (
    <div className="flex h-10 items-center gap-3 text-[15px]">
      <span id={id} className={bare ? 'sr-only' : 'w-22 shrink-0'}>
        {label}
      </span>
      <Radix.Root
        className="relative flex h-10 grow touch-none items-center data-disabled:opacity-45"
        disabled={disabled}
        value={[value]}
        min={min}
        max={max}
        step={step}
        onValueChange={([next]) => onChange(next)}
        onValueCommit={([next]) => onCommit?.(next)}
      >
        <Radix.Track className="relative h-px grow bg-ink">
          {/* What goes either way from the middle has no amount to fill. */}
          {min >= 0 && <Radix.Range className="absolute h-[3px] -translate-y-px bg-ink" />}
          {edge !== undefined && edge > min && edge < max && (
            <span
              aria-hidden
              data-testid="edge"
              className="absolute -top-2 h-4 border-l-2 border-dotted border-ink"
              style={{ left: `${((edge - min) / (max - min)) * 100}%` }}
            />
          )}
        </Radix.Track>
        <Radix.Thumb
          aria-label={said}
          aria-labelledby={said ? undefined : id}
          aria-valuetext={words}
          className="block h-7 w-3 border border-ink bg-sheet before:absolute before:-inset-x-4 before:-inset-y-2 before:content-['']"
        />
      </Radix.Root>
      {!bare && <span className="w-12 shrink-0 text-right text-soft">{words}</span>}
    </div>
  );
}
