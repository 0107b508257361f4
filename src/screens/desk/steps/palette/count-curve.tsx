'use client';

import { FEWEST_SWATCHES } from '@/core/palette/extract';
import type { CountSuggestion } from '@/core/palette/suggest';

const HIGH = 34;

/** How far the picture is from a palette of each count, as a row of bars; a click takes that many. */
export function CountCurve({
  suggestion: { means, suggested },
  count,
  onUse,
}: {
  suggestion: CountSuggestion;
  count: number;
  onUse: (count: number) => void;
}) {
  const shown = means.slice(FEWEST_SWATCHES - 1);
  const most = Math.max(1e-9, ...shown);
  return (
    <div
      className="-mx-2 flex"
      role="group"
      aria-label="How far the picture is from so many colours"
    >
      {shown.map((mean, i) => {
        const n = i + FEWEST_SWATCHES;
        const says = `${n} colours: ${mean.toFixed(1)} away${n === suggested ? '; one more hardly helps' : ''}`;
        return (
          <button
            key={n}
            type="button"
            aria-pressed={n === count}
            aria-label={says}
            title={says}
            onClick={() => onUse(n)}
            className="flex min-h-14 min-w-0 flex-1 flex-col items-center justify-end hover:bg-faint"
          >
            <span
              className={`block w-2.5 ${n <= suggested ? 'bg-ink' : 'border border-ink'}`}
              style={{ height: Math.max(2, (HIGH * mean) / most) }}
            />
            <span
              className={`mt-0.5 border-b-2 text-[13px] leading-5 ${n === suggested ? 'font-bold' : ''} ${n === count ? 'border-ink' : 'border-transparent'}`}
            >
              {n}
            </span>
          </button>
        );
      })}
    </div>
  );
}
