'use client';

import { ToggleGroup } from 'radix-ui';

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; title: string }[];
  onChange: (value: T) => void;
  /** Whether the label is seen or only read out. */
  showLabel?: boolean;
  /** Takes all the width there is. */
  fill?: boolean;
}

/** One of a few, side by side; the chosen one is filled. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  showLabel = true,
  fill = false,
}: Props<T>) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
      {showLabel && <span className="text-[15px]">{label}</span>}
      <ToggleGroup.Root
        type="single"
        aria-label={label}
        value={value}
        onValueChange={(next) => next && onChange(next as T)}
        className={`flex border border-ink ${fill ? 'w-full' : ''}`}
      >
        {options.map((option) => (
          <ToggleGroup.Item
            key={option.value}
            value={option.value}
            className={`min-h-10 min-w-10 grow ${fill ? 'px-1.5' : 'px-2'} text-[15px] not-first:border-l not-first:border-ink hover:bg-faint data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-sheet`}
          >
            {option.title}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
