'use client';

import { wheelOf } from '@/core/colour/wheel';
import type { Only } from '@/contracts/hidden';
import { keepFamily, protectNothing, pushOnly } from '@/study/hidden-edits';
import { Button } from '@/ui/button';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { useDeskStore, useDocument } from '../../desk-store';
import { BrushWidth, ToolChoice } from '../../panel/drawing-tools';
import { Finding, Section } from '../../panel/panel-parts';
import { leaveAloneSentence } from './leave-alone-sentence';

/** What is kept as it is: families, brushed parts, and all but the lights, the shadows or a zone. */
export function LeaveAloneTab() {
  const hidden = useDocument((document) => document.hidden);
  const zones = useDocument((document) => document.values.zones);
  const { settings } = useSettings();
  const { change } = useDeskStore().getState();
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
      <Finding>{leaveAloneSentence(hidden)}</Finding>
      <Section title="Families left alone" aside={wheel.title}>
        <div className="grid grid-cols-3 gap-1" role="group" aria-label="Families left alone">
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
        title="Parts left alone"
        aside={hidden.parts.length > 0 ? `${hidden.parts.length} drawn` : 'skin, a white wall'}
      >
        <div className="flex flex-col gap-2 pt-1">
          <ToolChoice />
          <BrushWidth />
        </div>
      </Section>
      <Section title="Where it works">
        <div className="flex pt-1">
          <Select
            label="Where colours are strengthened"
            value={chosen.value}
            options={choices.map(({ value, title }) => ({ value, title }))}
            onChange={(value) => {
              const next = choices.find((one) => one.value === value);
              if (next) change((document) => pushOnly(document, next.only));
            }}
          />
        </div>
      </Section>
      <Button onClick={() => change(protectNothing)}>Leave nothing alone</Button>
    </>
  );
}
