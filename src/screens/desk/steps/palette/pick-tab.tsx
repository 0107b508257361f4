'use client';

import { LassoSelect } from 'lucide-react';
import { useState } from 'react';
import { MIN_SWATCHES, MAX_SWATCHES } from '@/core/palette/extract';
import { LEANS, type Lean } from '@/core/palette/lean';
import { countsOnExtraction } from '@/study/edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { valueWords } from '@/ui/words';
import { useDesk, useDeskStore, useDocument } from '../../desk-store';
import { goFor, useSteps } from '../../step';
import { useAnswer } from '../../use-answer';
import { usePalette } from '../../use-palette';
import { Finding, Section } from '../../panel/panel-parts';
import { pushWords } from '../../push-words';
import { CountCurve } from './count-curve';
import { EndsRow } from './ends-row';
import { LeanStaves } from './lean-staves';
import { LEAN_TITLES } from './lean-titles';
import { paletteSentence, widestGap } from '@/palette/palette-sentence';
import { SwatchList } from '@/palette/swatch-list';

const SUGGEST = { kind: 'countSuggestion' as const, keep: [] };

/** Colours taken from the picture: extracted, or picked by area. */
export function PickTab() {
  const palette = usePalette();
  const { count, swatches, lean, region } = useDocument((document) => document.palette);
  const selected = useDesk((state) => state.selected);
  const { pickFrom, pickParts } = useDesk((state) => state.view);
  const push = useDocument((document) => document.hidden.push);
  const drawing = useDesk((state) => state.tool === 'region');
  const store = useDeskStore();
  const steps = useSteps();
  const { look, set } = store.getState();
  const { settings, change: changeSettings } = useSettings();
  const [wanted, setWanted] = useState<number | null>(null);
  const suggestion = useAnswer<'countSuggestion'>(SUGGEST).value;
  const gap = widestGap(swatches);
  const kept = swatches.filter(countsOnExtraction).map(({ colour }) => colour);
  const staying = kept.length;
  const shown = wanted ?? count;
  const withPalette = (part: { lean: Lean } | { region: null }) =>
    palette.change((document) => ({ ...document, palette: { ...document.palette, ...part } }));
  const take = (next: number) => {
    setWanted(null);
    void palette.extract(next);
  };
  return (
    <>
      <Finding>
        {paletteSentence(swatches, settings.scale)}
        {gap && (
          <em>
            {' '}
            Nothing lies between {valueWords(gap.from, settings.scale)} and{' '}
            {valueWords(gap.to, settings.scale)}.
          </em>
        )}
      </Finding>
      <Section
        title="Extract"
        aside={
          staying > 0
            ? `beside ${staying} that ${staying === 1 ? 'stays' : 'stay'}`
            : 'small accents are kept'
        }
      >
        <Slider
          label="Colours"
          words={staying === 0 ? String(shown) : `${Math.max(0, shown - staying)} new`}
          min={MIN_SWATCHES}
          max={MAX_SWATCHES}
          value={shown}
          onChange={setWanted}
          onCommit={take}
        />
        {suggestion && <CountCurve suggestion={suggestion} count={shown} onUse={take} />}
        <LeanStaves
          count={shown}
          keep={kept}
          chosen={lean}
          onChoose={(next) => {
            if (withPalette({ lean: next })) void palette.extract(count);
          }}
        />
        <div className="mt-1 flex items-center gap-2">
          <Select
            label="What extraction looks at"
            value={lean}
            options={LEANS.map((value) => ({ value, title: LEAN_TITLES[value] }))}
            onChange={(next) => {
              if (withPalette({ lean: next })) void palette.extract(count);
            }}
          />
          <Button
            className="grow aria-pressed:bg-ink aria-pressed:text-sheet"
            aria-pressed={drawing}
            onClick={() => {
              if (region) {
                if (withPalette({ region: null })) void palette.extract(count);
              } else set({ tool: drawing ? 'look' : 'region' });
            }}
          >
            <LassoSelect size={18} aria-hidden />
            {region ? 'All of it' : drawing ? 'Loop it now' : 'Within a loop'}
          </Button>
        </div>
      </Section>
      <Section title="Pick by area" aside="click the picture; % of its diagonal">
        <Slider
          label="Radius"
          words={`${(settings.pickRadius * 100).toFixed(1)} %`}
          min={0}
          max={0.1}
          step={0.001}
          value={settings.pickRadius}
          onChange={(pickRadius) => changeSettings({ pickRadius })}
        />
        <Choice
          label="Pick from"
          showLabel={false}
          fill
          value={pickFrom}
          options={[
            { value: 'picture', title: 'picture' },
            { value: 'squint', title: 'squint' },
            { value: 'zones', title: 'zones' },
            { value: 'pushed', title: 'strengthened' },
          ]}
          onChange={(from) => look({ pickFrom: from })}
        />
        {pickFrom === 'pushed' && (
          <p className="mt-1 flex items-center gap-2 text-sm leading-snug text-soft">
            <span className="grow">
              Strengthened: {pushWords(push)}. Extraction takes these colours too.
            </span>
            <Button weight="quiet" onClick={() => goFor(steps, 'strengthen', store.getState())}>
              Change
            </Button>
          </p>
        )}
        <div className="h-2" />
        <Choice
          label="A pick is"
          value={pickParts ? 'parts' : 'average'}
          options={[
            { value: 'average', title: 'the average' },
            { value: 'parts', title: 'what makes it' },
          ]}
          onChange={(taken) => look({ pickParts: taken === 'parts' })}
        />
      </Section>
      <EndsRow />
      {!selected && swatches.length > 0 && <SwatchList swatches={swatches} />}
    </>
  );
}
