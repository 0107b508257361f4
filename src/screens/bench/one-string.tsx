'use client';

import { useState, type CSSProperties } from 'react';
import { MAX_STRING, MIN_STRING, stringBetween, type StringSpacing } from '@/core/mixing/strings';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { dabChart } from '@/core/plan/dab-chart';
import type { MixingTube } from '@/study/shelf';
import { Choice } from '@/ui/choice';
import { Finding } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { Stave } from '@/ui/stave';
import { percent, valueWords } from '@/ui/words';
import { PrintButton } from './print-button';
import { strongest, TubeSelect } from './tube-select';

/** Steps from one tube to another, straight or by way of a third. */
export function OneString({ tubes }: { tubes: readonly MixingTube[] }) {
  const { scale } = useSettings().settings;
  const [fromId, setFrom] = useState('');
  const [toId, setTo] = useState('');
  const [viaId, setVia] = useState('');
  const [steps, setSteps] = useState(7);
  const [spacing, setSpacing] = useState<StringSpacing>('value');
  const find = (id: string) => tubes.find((tube) => tube.id === id);
  const from = find(fromId) ?? strongest(tubes);
  const to = find(toId) ?? tubes[0];
  const via = find(viaId) ?? null;
  const string = stringBetween(from.optics, to.optics, steps, spacing, via?.optics);
  const words = (step: (typeof string)[number]) =>
    [
      [step.from, from.name] as const,
      [step.via, via?.name ?? ''] as const,
      [step.to, to.name] as const,
    ].flatMap(([share, name]) => (share > 0.0005 ? [`${percent(share)} ${name}`] : []));
  const title = `${from.name} to ${to.name}${via ? ` by way of ${via.name}` : ''}`;
  return (
    <>
      <Finding>{`${title}, in ${steps} steps even in ${spacing === 'value' ? 'value' : 'parts'}.`}</Finding>
      <div className="mb-3 grid gap-2 sm:grid-cols-3">
        <TubeSelect label="From" tubes={tubes} value={from.id} onChange={setFrom} />
        <TubeSelect label="By way of" tubes={tubes} value={via?.id ?? ''} none onChange={setVia} />
        <TubeSelect label="To" tubes={tubes} value={to.id} onChange={setTo} />
      </div>
      <div className="mb-2 flex flex-wrap items-center gap-x-6 gap-y-2">
        <Choice
          label="Even in"
          value={spacing}
          options={[
            { value: 'value', title: 'value' },
            { value: 'ratio', title: 'parts' },
          ]}
          onChange={setSpacing}
        />
        <div className="min-w-64 grow">
          <Slider
            label="Steps"
            min={MIN_STRING}
            max={MAX_STRING}
            value={steps}
            words={String(steps)}
            onChange={setSteps}
          />
        </div>
        <PrintButton
          name="string"
          drawing={() =>
            dabChart(title, [
              {
                title: `Even in ${spacing === 'value' ? 'value' : 'parts'}`,
                cells: string.map((step) => ({
                  hex: hexFromOklab(step.colour),
                  words: words(step),
                })),
              },
            ])
          }
        />
      </div>
      <div className="bg-sheet">
        <Stave
          swatches={string.map(({ colour }, i) => ({
            id: String(i),
            name: `step ${i + 1}`,
            colour,
            share: null,
          }))}
          scale={scale}
          height={150}
          label={`${title}: ${string.map(({ colour }) => valueWords(valueOfOklab(colour), scale)).join(', ')}`}
        />
      </div>
      <ol
        aria-label="Steps of the string"
        className="mb-4 grid gap-y-1 text-xs leading-tight sm:grid-cols-[repeat(var(--steps),minmax(0,1fr))]"
        style={{ '--steps': steps } as CSSProperties}
      >
        {string.map((step, i) => (
          <li key={i} className="min-w-0 pr-1 max-sm:flex max-sm:gap-2 max-sm:text-sm">
            <span className="w-5 font-semibold sm:hidden">{i + 1}</span>
            {words(step).map((line) => (
              <span key={line} className="block truncate" title={line}>
                {line}
              </span>
            ))}
          </li>
        ))}
      </ol>
    </>
  );
}
