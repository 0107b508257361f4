'use client';

import { TOLERANCES } from '@/core/measure/carried';
import { MIN_ZONES, MAX_ZONES } from '@/core/measure/zones';

interface Props {
  /** The RMS error that 1, 2 … 9 natural zones leave, in Munsell steps. */
  curve: readonly number[];
  carriedBy: number;
  zones: number;
  onUse: (zones: number) => void;
}

const HIGH = 30;
/** Errors from here on are drawn as high as there is room. */
const MOST = 2 * TOLERANCES.loose;

/** The curve of the error that each number of values leaves, as a row of bars; a click uses that number. */
export function CarryCurve({ curve, carriedBy, zones, onUse }: Props) {
  const numbers = Array.from({ length: MAX_ZONES - MIN_ZONES + 1 }, (_, i) => i + MIN_ZONES);
  return (
    <div className="-mx-2 flex" role="group" aria-label="Number of values">
      {numbers.map((n) => {
        const error = curve[n - 1];
        const carries = n === Math.max(MIN_ZONES, carriedBy);
        const words = `${n} values stray by ${error.toFixed(2)} steps`;
        return (
          <button
            key={n}
            type="button"
            aria-pressed={n === zones}
            aria-label={`${words}${carries ? '; enough to carry it' : ''}`}
            title={words}
            onClick={() => onUse(n)}
            className="flex min-h-14 min-w-0 flex-1 flex-col items-center justify-end hover:bg-faint"
          >
            <span
              className={`block w-4 ${n >= carriedBy ? 'bg-ink' : 'border border-ink'}`}
              style={{ height: Math.max(2, HIGH * Math.min(1, error / MOST)) }}
            />
            <span
              className={`mt-0.5 border-b-2 px-1 text-sm leading-5 ${carries ? 'font-semibold' : ''} ${n === zones ? 'border-ink' : 'border-transparent'}`}
            >
              {n}
            </span>
          </button>
        );
      })}
    </div>
  );
}
