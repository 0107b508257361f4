'use client';

import type { ChartOptions } from 'chart.js';
import { format } from 'date-fns';
import { Line } from 'react-chartjs-2';
import { stepOf } from '@/core/colour/value-scale';
import type { Week } from '@/core/drills/report';
import { Fold } from '@/ui/panel-parts';
import { inkOf } from '@/ui/plot-ink';
import { useSettings } from '@/ui/settings';
import { stepWords } from '@/ui/words';
import { inkScale } from './plot-scale';

const DASHED = [5, 4];

/** How far values were read off, week by week: an eye against what it was before. */
export function WeeksPlot({ weeks }: { weeks: readonly Week[] }) {
  const { settings } = useSettings();
  const step = stepOf(settings.scale);
  const inSteps = (off: number | null) => (off === null ? null : off / step);
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    spanGaps: true,
    plugins: { tooltip: { enabled: false } },
    scales: {
      x: { ...inkScale(''), grid: { display: false } },
      y: { ...inkScale('steps'), suggestedMin: 0, suggestedMax: 1 },
    },
  };
  const line = { borderColor: inkOf('--ink'), pointBackgroundColor: inkOf('--ink') };
  return (
    <section aria-label="Week by week">
      <h2 className="mb-2 font-semibold">Values, week by week</h2>
      <p className="text-sm text-soft">
        Line: how far off, either way. Dashes: which way they lean, too light above 0. Weeks with
        few readings have no point.
      </p>
      <div className="h-52" data-testid="weeks-plot">
        <Line
          key={settings.surround}
          role="img"
          aria-label="How far values were read off, week by week; the table below has its figures"
          options={options}
          data={{
            labels: weeks.map(({ from }) => format(from, 'd MMM')),
            datasets: [
              { data: weeks.map(({ valueOff }) => inSteps(valueOff)), borderWidth: 2, ...line },
              {
                data: weeks.map(({ valueLean }) => inSteps(valueLean)),
                borderWidth: 1,
                borderDash: DASHED,
                pointRadius: 2,
                ...line,
              },
            ],
          }}
        />
      </div>
      <Fold title="Figures">
        <table className="w-full text-[15px]">
          <thead>
            <tr className="border-b text-left text-soft">
              <th className="font-normal">From</th>
              <th className="font-normal">Answers</th>
              <th className="font-normal">Values off by</th>
              <th className="font-normal">Leaning</th>
            </tr>
          </thead>
          <tbody>
            {weeks.map(({ from, count, valueOff, valueLean }) => (
              <tr key={from} className="border-b">
                <th scope="row" className="py-1.5 text-left font-normal">
                  {format(from, 'd MMM yyyy')}
                </th>
                <td>{count}</td>
                <td>{valueOff === null ? '' : stepWords(valueOff, settings.scale)}</td>
                <td>
                  {valueLean !== null &&
                    `${stepWords(valueLean, settings.scale)} too ${valueLean > 0 ? 'light' : 'dark'}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Fold>
    </section>
  );
}
