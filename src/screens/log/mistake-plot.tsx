'use client';

import {
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  type ChartOptions,
} from 'chart.js';
import { format } from 'date-fns';
import { Line } from 'react-chartjs-2';
import type { RecurringMistake } from '@/core/session/recurring';
import { inkOf } from '@/ui/plot-ink';
import { useSettings } from '@/ui/settings';

Chart.register(LineController, LineElement, LinearScale, PointElement);

const DAY = 864e5;

/** How large a mistake was in each study, over time; a point leads to its pictures. */
export function MistakePlot({
  mistake,
  onPoint,
}: {
  mistake: RecurringMistake;
  onPoint: (id: string) => void;
}) {
  const { settings } = useSettings();
  const { kind, points } = mistake;
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    onClick: (_, hit) => hit[0] && onPoint(points[hit[0].index].id),
    scales: {
      x: {
        type: 'linear',
        min: Math.min(...points.map(({ at }) => at)) - DAY,
        max: Math.max(...points.map(({ at }) => at)) + DAY,
        ticks: {
          color: inkOf('--soft'),
          maxTicksLimit: 8,
          callback: (at) => format(Number(at), 'd MMM'),
        },
        grid: { color: inkOf('--line') },
      },
      y: {
        min: 0,
        suggestedMax: 1.5,
        ticks: { color: inkOf('--soft'), maxTicksLimit: 5 },
        grid: { color: inkOf('--line') },
        title: { display: true, text: '1 is plain to see' },
      },
    },
  };
  return (
    <div className="h-56" data-testid="mistake-plot">
      <Line
        // Colours are read when it is drawn: another surround draws it anew.
        key={settings.surround}
        aria-label={`“${kind}” over time; the table below has its figures`}
        role="img"
        options={options}
        data={{
          datasets: [
            {
              data: points.map(({ at, size }) => ({ x: at, y: size })),
              borderColor: inkOf('--ink'),
              borderWidth: 1.5,
              pointRadius: 5,
              pointHoverRadius: 7,
              pointBackgroundColor: inkOf('--ink'),
            },
          ],
        }}
      />
    </div>
  );
}
