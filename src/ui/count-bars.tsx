'use client';

import type { ReactNode } from 'react';

interface Bar {
  /** A letter or two under the bar, or a small drawing. */
  short: ReactNode;
  /** What it is, in words. */
  title: string;
  count: number;
  on: boolean;
}

interface Props {
  label: string;
  bars: readonly Bar[];
  onToggle: (at: number) => void;
}

const HIGH = 34;

/** Counts as bars on a line, each a button: chosen ones are filled, the rest outlined. */
export function CountBars({ label, bars, onToggle }: Props) {
  const most = Math.max(1, ...bars.map(({ count }) => count));
  const isFiltered = bars.some(({ on }) => on);
  return (
    <div role="group" aria-label={label} className="flex overflow-x-auto">
      {bars.map(({ short, title, count, on }, at) => (
        <button
          key={title}
          type="button"
          aria-pressed={on}
          aria-label={`${title}: ${count}`}
          title={`${title}: ${count}`}
          onClick={() => onToggle(at)}
          className={`group flex min-h-15 min-w-0 grow pointer-coarse:min-w-10 basis-0 flex-col items-center justify-end text-xs ${on ? 'font-bold' : ''} ${count === 0 && !on ? 'text-soft' : ''}`}
        >
          <span
            className={`block w-[70%] border-ink ${on || !isFiltered ? 'bg-ink' : 'border bg-sheet'} group-hover:opacity-60`}
            style={{ height: count > 0 ? Math.max(2, (count / most) * HIGH) : 0 }}
          />
          <span
            className={`w-full border-t border-ink flex justify-center pt-0.5 text-center leading-5 ${on ? 'bg-ink text-sheet' : ''}`}
          >
            {short}
          </span>
        </button>
      ))}
    </div>
  );
}
