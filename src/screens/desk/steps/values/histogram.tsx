'use client';

import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import { useMemo } from 'react';
import { Bar } from 'react-chartjs-2';
import { onScale, type ValueScale } from '@/core/colour/value-scale';
import { useSettings } from '@/ui/settings';

Chart.register(BarController, BarElement, CategoryScale, LinearScale);

const BARS = 50;

/** How much of the picture there is at each value, dark to the left, with the zones' bounds. */
export function Histogram({
  counts,
  bounds,
  scale,
}: {
  counts: readonly number[];
  bounds: readonly number[];
  scale: ValueScale;
}) {
  const { settings } = useSettings();
  const data = useMemo(() => {
    const ink =
      getComputedStyle(document.documentElement).getPropertyValue('--ink').trim() || '#151515';
    const per = counts.length / BARS;
    const bars = Array.from({ length: BARS }, (_, i) =>
      counts.slice(i * per, (i + 1) * per).reduce((sum, n) => sum + n, 0),
    );
    return { labels: bars.map((_, i) => i), datasets: [{ data: bars, backgroundColor: ink }] };
    // The ink follows the surround.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [counts, settings.surround]);
  return (
    <div>
      <div className="relative h-14">
        <Bar
          data={data}
          role="img"
          aria-label="Distribution of value; the table of zones below has the figures"
          options={{
            maintainAspectRatio: false,
            animation: false,
            events: [],
            plugins: { legend: { display: false }, tooltip: { enabled: false } },
            scales: { x: { display: false }, y: { display: false } },
            datasets: { bar: { barPercentage: 1, categoryPercentage: 0.86 } },
          }}
        />
        {bounds.map((value, i) => (
          <span
            key={i}
            className="absolute inset-y-0 w-px bg-soft"
            style={{ left: `${value * 10}%` }}
            aria-hidden
          />
        ))}
      </div>
      <div
        className="flex justify-between border-t border-ink pt-0.5 text-xs text-soft"
        aria-hidden
      >
        {[0, 2.5, 5, 7.5, 10].map((value) => (
          <span key={value}>{Number(onScale(value, scale).toFixed(1))}</span>
        ))}
      </div>
    </div>
  );
}
