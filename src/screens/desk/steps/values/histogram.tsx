'use client';

import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import { useDrag } from '@use-gesture/react';
import { useMemo, useRef, type ComponentProps, type RefObject } from 'react';
import { Bar } from 'react-chartjs-2';
import { onScale, type ValueScale } from '@/core/colour/value-scale';
import { useSettings } from '@/ui/settings';
import { valueWords } from '@/ui/words';

Chart.register(BarController, BarElement, CategoryScale, LinearScale);

const BARS = 50;

interface Props {
  counts: readonly number[];
  /** The values (Munsell, rising) that part the zones. */
  thresholds: readonly number[];
  marks: { p5: number; median: number; p95: number };
  scale: ValueScale;
  onMove: (index: number, to: number) => void;
}

/** How much of the picture there is at each value, dark to the left; the thresholds between zones can be dragged. */
export function Histogram({ counts, thresholds, marks, scale, onMove }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  return (
    <div>
      <div ref={frame} className="relative h-16">
        <Bars counts={counts} />
        {thresholds.map((value, index) => (
          <Threshold
            key={index}
            frame={frame}
            name={`Threshold ${index + 1} of ${thresholds.length}`}
            value={value}
            words={valueWords(value, scale)}
            onMove={(to) => onMove(index, to)}
          />
        ))}
      </div>
      <div className="relative h-5 border-t border-ink text-xs text-soft" aria-hidden>
        {[0, 2.5, 5, 7.5, 10].map((value) => (
          <span
            key={value}
            className="absolute top-0.5 -translate-x-1/2 first:translate-x-0 last:-translate-x-full"
            style={{ left: `${value * 10}%` }}
          >
            {Number(onScale(value, scale).toFixed(1))}
          </span>
        ))}
      </div>
      <div className="relative h-4 text-xs" aria-hidden>
        <span
          className="absolute top-1 h-px bg-ink"
          style={{ left: `${marks.p5 * 10}%`, right: `${100 - marks.p95 * 10}%` }}
        />
        {[marks.p5, marks.median, marks.p95].map((value, i) => (
          <span
            key={i}
            className={`absolute top-0 -translate-x-1/2 bg-ink ${i === 1 ? 'h-2.5 w-[3px]' : 'h-2.5 w-px'}`}
            style={{ left: `${value * 10}%` }}
          />
        ))}
      </div>
      <p className="text-xs text-soft">
        Below: from {valueWords(marks.p5, scale)} (5 % is darker) to {valueWords(marks.p95, scale)}{' '}
        (5 % is lighter), the median between.
      </p>
    </div>
  );
}

function Bars({ counts }: { counts: readonly number[] }) {
  const { settings } = useSettings();
  const per = counts.length / BARS;
  const bars = Array.from({ length: BARS }, (_, i) =>
    counts.slice(i * per, (i + 1) * per).reduce((sum, n) => sum + n, 0),
  );
  const key = bars.join();
  const data = useMemo(() => {
    const ink =
      getComputedStyle(document.documentElement).getPropertyValue('--ink').trim() || '#151515';
    return { labels: bars.map((_, i) => i), datasets: [{ data: bars, backgroundColor: ink }] };
    // The key says what the bars are; the ink follows the surround.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, settings.surround]);
  return (
    <Bar
      data={data}
      role="img"
      aria-label="Distribution of value; the table of zones below has the figures"
      options={OPTIONS}
    />
  );
}

const OPTIONS = {
  maintainAspectRatio: false,
  animation: false as const,
  events: [] as [],
  plugins: { legend: { display: false }, tooltip: { enabled: false } },
  scales: { x: { display: false }, y: { display: false } },
  datasets: { bar: { barPercentage: 1, categoryPercentage: 0.86 } },
} satisfies ComponentProps<typeof Bar>['options'];

const NUDGE = 0.1;

function Threshold({
  frame,
  name,
  value,
  words,
  onMove,
}: {
  frame: RefObject<HTMLDivElement | null>;
  name: string;
  value: number;
  words: string;
  onMove: (to: number) => void;
}) {
  const bind = useDrag(
    ({ xy: [x], tap }) => {
      const box = frame.current?.getBoundingClientRect();
      if (box && !tap) onMove(((x - box.left) / box.width) * 10);
    },
    { pointer: { keys: false }, filterTaps: true },
  );
  return (
    <div
      {...bind()}
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuemin={0}
      aria-valuemax={10}
      aria-valuenow={Math.round(value * 100) / 100}
      aria-valuetext={words}
      title={words}
      onKeyDown={(event) => {
        const by = { ArrowLeft: -NUDGE, ArrowDown: -NUDGE, ArrowRight: NUDGE, ArrowUp: NUDGE }[
          event.key
        ];
        if (!by) return;
        event.preventDefault();
        event.stopPropagation();
        onMove(value + by);
      }}
      className="absolute -top-1 bottom-0 flex w-10 -translate-x-1/2 cursor-ew-resize touch-none justify-center"
      style={{ left: `${value * 10}%` }}
    >
      <span className="h-full w-px bg-ink outline outline-panel" />
      <span className="absolute top-0 h-3 w-3 border border-ink bg-sheet" />
    </div>
  );
}
