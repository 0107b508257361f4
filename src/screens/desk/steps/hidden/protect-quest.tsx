'use client';

import { Brush, Lasso, MousePointer2 } from 'lucide-react';
import { wheelOf } from '@/core/colour/wheel';
import type { Only } from '@/contracts/hidden';
import { keepFamily, protectNothing, pushOnly } from '@/study/hidden-edits';
import { Button } from '@/ui/button';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { useDesk, useDeskStore, useDocument, type Tool } from '../../desk-store';
import { Finding, Section } from '../panel-parts';
import { protectSentence } from './protect-sentence';

const LEAST_BRUSH = 0.004;
const MOST_BRUSH = 0.08;
const TOOLS: { tool: Tool; title: string; icon: typeof Brush }[] = [
  { tool: 'look', title: 'Look', icon: MousePointer2 },
  { tool: 'brush', title: 'Brush', icon: Brush },
  { tool: 'lasso', title: 'Lasso', icon: Lasso },
];

/** What is kept as it is: families, brushed parts, and all but the lights, the shadows or a zone. */
export function ProtectQuest() {
  const hidden = useDocument((document) => document.hidden);
  const zones = useDocument((document) => document.values.zones);
  const tool = useDesk((state) => state.tool);
  const brush = useDesk((state) => state.brush);
  const { settings } = useSettings();
  const { change, set } = useDeskStore().getState();
  const wheel = wheelOf(settings.wheel);
  const kept = hidden.kept.wheel === wheel.id ? hidden.kept.families : [];
  const choices: { value: string; title: string; only: Only }[] = [
    { value: 'all', title: 'everywhere', only: { kind: 'all' } },
    { value: 'light', title: 'only the lights', only: { kind: 'side', side: 'light' } },
    { value: 'shadow', title: 'only the shadows', only: { kind: 'side', side: 'shadow' } },
    ...Array.from({ length: zones }, (_, index) => ({
      value: `zone ${index}`,
      title: `only zone ${index + 1} of ${zones}, from dark`,
      only: { kind: 'zone' as const, index },
    })),
  ];
  const chosen =
    choices.find(({ only }) => JSON.stringify(only) === JSON.stringify(hidden.only)) ?? choices[0];
  return (
    <>
      <Finding>{protectSentence(hidden)}</Finding>
      <Section title="Families kept" aside={wheel.title}>
        <div className="grid grid-cols-3 gap-1" role="group" aria-label="Families kept as they are">
          {wheel.families.map((family, index) => (
            <button
              key={family}
              type="button"
              aria-pressed={kept.includes(index)}
              className="min-h-10 border border-line px-1 text-sm leading-tight hover:bg-faint aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-sheet"
              onClick={() => change((document) => keepFamily(document, wheel.id, index))}
            >
              {family}
            </button>
          ))}
        </div>
      </Section>
      <Section
        title="Parts kept"
        aside={hidden.parts.length > 0 ? `${hidden.parts.length} drawn` : 'skin, a white wall'}
      >
        <div className="flex flex-col gap-2 pt-1">
          <div className="flex border border-ink" role="group" aria-label="Tool">
            {TOOLS.map(({ tool: one, title, icon: Icon }) => (
              <Button
                key={one}
                weight="quiet"
                aria-pressed={tool === one}
                className="grow border-0 not-first:border-l not-first:border-ink aria-pressed:bg-ink aria-pressed:text-sheet"
                onClick={() => set({ tool: one, hovered: null, pinned: null })}
              >
                <Icon size={17} aria-hidden /> {title}
              </Button>
            ))}
          </div>
          <Slider
            label="Brush"
            words={`${(brush.radius * 200).toFixed(1)} %`}
            min={LEAST_BRUSH}
            max={MOST_BRUSH}
            step={0.002}
            value={brush.radius}
            onChange={(radius) => set({ brush: { ...brush, radius } })}
          />
        </div>
      </Section>
      <Section title="Pushed at all">
        <div className="flex pt-1">
          <Select
            label="Where it is pushed"
            value={chosen.value}
            options={choices.map(({ value, title }) => ({ value, title }))}
            onChange={(value) => {
              const next = choices.find((one) => one.value === value);
              if (next) change((document) => pushOnly(document, next.only));
            }}
          />
        </div>
      </Section>
      <Button onClick={() => change(protectNothing)}>Protect nothing</Button>
    </>
  );
}
