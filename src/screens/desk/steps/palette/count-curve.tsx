'use client';

import { MIN_SWATCHES } from '@/core/palette/extract';
import type { CountSuggestion } from '@/core/palette/suggest';

const HIGH = 34;
/** From here on every second count has a bar, so that each is wide enough for a finger; the slider has all. */
const ALL_TO = 10;

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
  const shown = means
    .map((mean, i) => ({ n: i + 1, mean }))
    .filter(({ n }) => n >= MIN_SWATCHES && (n <= ALL_TO || n % 2 === 0 || n === suggested));
  const most = Math.max(1e-9, ...shown.map(({ mean }) => mean));
  return (
    <div
      className="-mx-2 flex"
      role="group"
      aria-label="How far the picture is from so many colours"
    >
      {shown.map(({ n, mean }) => {
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
