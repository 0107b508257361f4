'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { colourName } from '@/core/colour/name';
import type { LightAndShadow, Side, SideReading } from '@/core/measure/light-and-shadow';
import { withoutCorrections } from '@/study/light-edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { capital, percent, valueWords } from '@/ui/words';
import { useDesk, useDeskStore, useDocument } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { BrushWidth, ToolChoice } from '../../panel/drawing-tools';
import { Finding, Section } from '../../panel/panel-parts';
import { LensChoice } from './lens-choice';
import { lightSentence } from './light-sentence';
import { Pointing } from '../../panel/pointing';

/** What lies in the light and what in the shadow, and how they differ. */
export function LightTab() {
  const squint = useDocument((document) => document.values.squint);
  const corrections = useDocument((document) => document.lightAndShadow.corrections);
  const { settings } = useSettings();
  const { value: reading, stale } = useAnswer<'lightAndShadow'>({
    kind: 'lightAndShadow',
    squint,
    corrections,
  });
  return (
    <>
      <Finding stale={stale} focus={reading?.light ? { kind: 'side', side: 'light' } : null}>
        {reading ? lightSentence(reading, settings.scale) : 'Separating light from shadow …'}
      </Finding>
      <LensChoice />
      {reading && <SidesTable reading={reading} />}
      <Correcting corrected={reading?.corrected ?? 0} count={corrections.length} />
    </>
  );
}

function SidesTable({ reading }: { reading: LightAndShadow }) {
  const { settings } = useSettings();
  const sides = (['light', 'shadow'] as const).flatMap((side) => {
    const of = reading[side];
    return of ? [{ side, of }] : [];
  });
  const rows: [string, (of: SideReading) => string][] = [
    ['share', (of) => percent(of.share)],
    ['mean value', (of) => valueWords(of.value, settings.scale)],
    [
      'mean temperature',
      (of) => `${of.temperature < 0 ? 'cool' : 'warm'} ${Math.abs(of.temperature).toFixed(2)}`,
    ],
    ['chroma of the mean', (of) => of.chroma.toFixed(3)],
    ['mean chroma', (of) => of.meanChroma.toFixed(3)],
  ];
  return (
    <Section
      title="The two families"
      aside={`about ${valueWords(reading.threshold, settings.scale)}, mass by mass`}
    >
      {sides.map(({ side, of }) => (
        <Pointing
          key={side}
          focus={{ kind: 'side', side }}
          className="flex items-center gap-3 border-b"
        >
          <span className="h-9 w-9 shrink-0" style={{ background: hexFromOklab(of.colour) }} />
          <span className="leading-tight">
            {capital(side)}: {colourName(of.colour)}
          </span>
        </Pointing>
      ))}
      <table className="mt-1 w-full text-[15px]">
        <thead className="text-sm text-soft">
          <tr>
            <th className="text-left font-normal">
              <span className="sr-only">measure</span>
            </th>
            {sides.map(({ side }) => (
              <th key={side} className="text-right font-normal">
                {side}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([title, words]) => (
            <tr key={title} className="border-t">
              <th className="py-1 text-left font-normal">{title}</th>
              {sides.map(({ side, of }) => (
                <td key={side} className="text-right">
                  {words(of)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Section>
  );
}

/** The tools that give a part of the picture to the other side. */
function Correcting({ corrected, count }: { corrected: number; count: number }) {
  const brush = useDesk((state) => state.brush);
  const { set, change } = useDeskStore().getState();
  const aside = count === 0 ? 'as measured' : `${percent(corrected)} corrected`;
  return (
    <Section title="Correct" aside={aside}>
      <div className="flex flex-col gap-2 pt-1">
        <ToolChoice />
        <Choice
          label="Gives to the"
          value={brush.side}
          options={[
            { value: 'light', title: 'light' },
            { value: 'shadow', title: 'shadow' },
          ]}
          onChange={(side: Side) => set({ brush: { ...brush, side } })}
        />
        <BrushWidth />
        {count > 0 && (
          <Button onClick={() => change(withoutCorrections)}>Back to the split as measured</Button>
        )}
      </div>
    </Section>
  );
}
