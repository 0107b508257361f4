'use client';

import { useState } from 'react';
import {
  greensOf,
  MAX_STRING,
  MIN_STRING,
  stringBetween,
  type StringSpacing,
} from '@/core/mixing/strings';
import { weightOf } from '@/core/mixing/tube';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { dabChart } from '@/core/plan/dab-chart';
import type { Drawing } from '@/core/plan/drawing';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { mixingTubes, type MixingTube } from '@/study/shelf';
import { callForFile } from '@/ui/api';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { fileName, keepFile } from '@/ui/keep-file';
import { showError } from '@/ui/notices';
import { Finding, Section } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { Stave } from '@/ui/stave';
import { percent, valueWords } from '@/ui/words';
import { GreensChart, greensRows } from './greens-chart';
import type { TabProps } from './tab-props';

/** Steps from one tube to another, and the greens that the shelf can make; both to be printed and dabbed. */
export function StringsTab({ shelf, look }: TabProps) {
  const tubes = mixingTubes(shelf);
  if (tubes.length < 2)
    return (
      <div className="px-4 py-4 sm:px-6">
        <Finding>A string goes from one tube to another: put two on the shelf.</Finding>
        <Button weight="strong" onClick={() => look({ tab: 'shelf' })}>
          Put tubes on the shelf
        </Button>
      </div>
    );
  const owned = tubes.filter((tube) =>
    shelf.tubes.some(({ id, standing }) => id === tube.id && standing !== 'wish'),
  );
  const greens = greensOf(owned);
  const nameOf = (id: string) => tubes.find((tube) => tube.id === id)?.name ?? '';
  return (
    <div className="mx-auto max-w-[80rem] px-4 py-4 sm:px-6">
      <OneString tubes={tubes} />
      <Section
        title="Greens"
        aside={
          greens.length > 0 && (
            <PrintButton
              name="greens"
              drawing={() => dabChart('Every blue with every yellow', greensRows(greens, nameOf))}
            />
          )
        }
      >
        <GreensChart greens={greens} nameOf={nameOf} />
      </Section>
    </div>
  );
}

function OneString({ tubes }: { tubes: readonly MixingTube[] }) {
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
        className="mb-4 grid text-xs leading-tight"
        style={{ gridTemplateColumns: `repeat(${steps}, minmax(0, 1fr))` }}
      >
        {string.map((step, i) => (
          <li key={i} className="min-w-0 pr-1">
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

const strongest = (tubes: readonly MixingTube[]): MixingTube =>
  tubes.reduce((one, other) => (weightOf(other.optics) > weightOf(one.optics) ? other : one));

function TubeSelect({
  label,
  tubes,
  value,
  none = false,
  onChange,
}: {
  label: string;
  tubes: readonly MixingTube[];
  value: string;
  none?: boolean;
  onChange: (id: string) => void;
}) {
  return (
    <label className="flex flex-col gap-0.5">
      <span className="text-sm text-soft">{label}</span>
      <select
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="h-10 w-full border border-line bg-sheet px-2 text-[15px]"
      >
        {none && <option value="">nothing, straight</option>}
        {tubes.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** A chart in its true size, with room for dabs, as PDF. */
function PrintButton({ name, drawing }: { name: string; drawing: () => Drawing }) {
  const [printing, setPrinting] = useState(false);
  const print = async () => {
    setPrinting(true);
    try {
      const made = drawing();
      const pdf = await callForFile(endpoints.printDrawing, { body: made });
      keepFile(pdf, fileName(made.title, name, 'pdf'));
    } catch (error) {
      showError(error);
    } finally {
      setPrinting(false);
    }
  };
  return (
    <Button aria-label={`Save the ${name} as PDF`} disabled={printing} onClick={() => void print()}>
      {printing ? 'Printing …' : 'Save PDF'}
    </Button>
  );
}
