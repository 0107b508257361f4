'use client';

import type { ChartData, ChartOptions } from 'chart.js';
import { useState } from 'react';
import { Chart } from 'react-chartjs-2';
import { PAINTERS_WHEEL } from '@/core/colour/wheel';
import { INTENSITY_WORDS } from '@/core/colour/intensity';
import { stepOf } from '@/core/colour/value-scale';
import {
  REGION_AXES,
  type Leaning,
  type RegionAxis,
  type SkillProfile,
} from '@/core/drills/profile';
import { VALUE_THIRDS } from '@/core/drills/region';
import { isPlain } from '@/core/drills/report';
import { Choice } from '@/ui/choice';
import { Fold } from '@/ui/panel-parts';
import { inkOf } from '@/ui/plot-ink';
import { useSettings } from '@/ui/settings';
import { capital, several } from '@/ui/words';
import { inkScale } from './plot-scale';
import { amountWords, offWords, partWords, type Subject } from './profile-words';

const ORDER: Readonly<Record<RegionAxis, readonly string[]>> = {
  value: VALUE_THIRDS,
  family: [...PAINTERS_WHEEL.families, 'grey'],
  intensity: INTENSITY_WORDS,
};
const TITLES = { value: 'by value', family: 'by family', intensity: 'by intensity' };

const SUBJECTS = ['value', 'intensity', 'family'] as const;
const SUBJECT_TITLES = { value: 'values', intensity: 'intensities', family: 'families' };
const SCALES = {
  value: 'steps: too dark below, too light above',
  intensity: 'words: too dull below, too strong above',
  family: 'families off, either way',
};

/** Which way values, intensities and families are read wrong, by parts of the space of colours. */
export function LeaningPlot({
  profiles,
}: {
  profiles: Readonly<Record<Subject, SkillProfile | null>>;
}) {
  const { settings } = useSettings();
  const [chosen, setChosen] = useState<Subject>('value');
  const [axis, setAxis] = useState<RegionAxis>('family');
  const there = SUBJECTS.filter((one) => profiles[one] !== null);
  const subject = there.includes(chosen) ? chosen : there.at(0);
  const profile = subject && profiles[subject];
  if (!profile) return null;
  const unit = subject === 'value' ? stepOf(settings.scale) : 1;
  const own = profile.leanings
    .filter((leaning) => leaning.axis === axis)
    .sort((one, other) => ORDER[axis].indexOf(one.is) - ORDER[axis].indexOf(other.is));
  const total = ({ bias }: Leaning) => profile.bias + bias;
  const options: ChartOptions<'bar' | 'line'> = {
    animation: false,
    maintainAspectRatio: false,
    plugins: { tooltip: { enabled: false } },
    scales: {
      x: { ...inkScale('', { autoSkip: false }), grid: { display: false } },
      y: {
        ...inkScale(SCALES[subject]),
        suggestedMin: subject === 'family' ? 0 : -1,
        suggestedMax: 1,
      },
    },
  };
  const data: ChartData<'bar' | 'line', ([number, number] | number)[], string> = {
    labels: own.map(({ is }) => is),
    datasets: [
      {
        type: 'line',
        data: own.map((leaning) => total(leaning) / unit),
        showLine: false,
        pointRadius: 5,
        pointBackgroundColor: inkOf('--ink'),
      },
      {
        type: 'bar',
        data: own.map((leaning): [number, number] => [
          (total(leaning) - 2 * leaning.error) / unit,
          (total(leaning) + 2 * leaning.error) / unit,
        ]),
        backgroundColor: inkOf('--line'),
        barPercentage: 0.5,
      },
    ],
  };
  return (
    <section aria-label="How you read colours">
      <div className="mb-2 flex flex-wrap items-center justify-between gap-2">
        <h2 className="sr-only">How you read colours</h2>
        <Choice
          label="How you read"
          value={subject}
          options={there.map((value) => ({ value, title: SUBJECT_TITLES[value] }))}
          onChange={setChosen}
        />
        <Choice
          label="Parts"
          showLabel={false}
          value={axis}
          options={REGION_AXES.map((value) => ({ value, title: TITLES[value] }))}
          onChange={setAxis}
        />
      </div>
      <p className="text-sm text-soft">
        {capital(offWords(subject, profile.bias, settings.scale))} on the whole, spread by{' '}
        {amountWords(subject, profile.spread, settings.scale)}, in{' '}
        {several(profile.count, 'answer')}. A bar is as long as it is unsure.
      </p>
      <div className="h-60" data-testid="leaning-plot">
        <Chart
          // Colours are read when it is drawn: another surround draws it anew.
          key={settings.surround}
          type="bar"
          role="img"
          aria-label={`Which way ${SUBJECT_TITLES[subject]} lean, ${TITLES[axis]}; the table below has its figures`}
          options={options}
          data={data}
        />
      </div>
      <Fold title="Figures">
        <table className="w-full text-[15px]">
          <thead>
            <tr className="border-b text-left text-soft">
              <th className="font-normal">{capital(axis)}</th>
              <th className="font-normal">Answers</th>
              <th className="font-normal">Read</th>
              <th className="font-normal">Scatter</th>
              <th className="font-normal">Unsure by</th>
              <th className="font-normal">Is</th>
            </tr>
          </thead>
          <tbody>
            {own.map((leaning) => (
              <tr key={leaning.is} className="border-b">
                <th scope="row" className="py-1.5 text-left font-normal">
                  {partWords(axis, leaning.is)}
                </th>
                <td>{leaning.count}</td>
                <td>{offWords(subject, total(leaning), settings.scale)}</td>
                <td>{amountWords(subject, leaning.spread, settings.scale)}</td>
                <td>{amountWords(subject, 2 * leaning.error, settings.scale)}</td>
                <td>{isPlain(leaning) ? 'plain' : 'may be chance'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Fold>
    </section>
  );
}
