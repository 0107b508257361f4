'use client';

import { ToggleGroup } from 'radix-ui';

interface Props<T extends string> {
  label: string;
  value: T;
  /** `said` is read out in place of a short title. */
  options: readonly { value: T; title: string; said?: string }[];
  onChange: (value: T) => void;
  /** Whether the label is seen or only read out. */
  showLabel?: boolean;
  /** Takes all the width there is. */
  fill?: boolean;
  /** Set in rows of so many. */
  columns?: number;
}

/** One of a few, side by side; the chosen one is filled. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  showLabel = true,
  fill = false,
  columns,
}: Props<T>) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
      {showLabel && <span className="text-[15px]">{label}</span>}
      <ToggleGroup.Root
        type="single"
        aria-label={label}
        value={value}
        onValueChange={(next) => next && onChange(next as T)}
        className={
          columns
            ? 'grid w-full gap-px border border-ink bg-ink'
            : `flex border border-ink ${fill ? 'w-full' : ''}`
        }
        style={columns ? { gridTemplateColumns: `repeat(${columns}, 1fr)` } : undefined}
      >
        {options.map((option, i) => (
          <ToggleGroup.Item
            key={option.value}
            value={option.value}
            style={columns && i === options.length - 1 ? lastOfRows(i, columns) : undefined}
            aria-label={option.said}
            title={option.said}
            className={`min-h-10 min-w-10 grow ${fill || columns ? 'px-1' : 'px-2'} text-[15px] ${columns ? 'bg-panel' : 'not-first:border-l not-first:border-ink'} hover:bg-faint data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-sheet`}
          >
            {option.title}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}

/** The last of a grid takes what is left of its row. */
function lastOfRows(index: number, columns: number): React.CSSProperties {
  return { gridColumn: `span ${columns - (index % columns)}` };
}
