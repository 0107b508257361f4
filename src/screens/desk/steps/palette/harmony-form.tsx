'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { wheelOf } from '@/core/colour/wheel';
import { SCHEMES, type SchemeName } from '@/core/measure/harmony';
import {
  buildHarmony,
  evenValues,
  OFFSETS,
  DEFAULT_INTENSITY,
  schemeFamilies,
} from '@/core/palette/build-harmony';
import type { PaletteSet } from '@/contracts/study';
import { addSet, changeSet, unlinkSet } from '@/study/set-edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { capital, list } from '@/ui/words';
import { useDocument } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { newId, usePalette } from '../../use-palette';
import { Finding, Section } from '../../panel/panel-parts';
import { Steps } from './ladder-form';
import { useKeySwatch, useSet } from './use-key-swatch';

type Harmony = Extract<PaletteSet, { kind: 'harmony' }>;

/** The hues of a scheme about a key colour, with values and intensities that one can use. */
export function HarmonyForm() {
  const palette = usePalette();
  const key = useKeySwatch();
  const set = useSet('harmony');
  const { settings } = useSettings();
  const zones = useDocument((document) => document.values);
  const reading = useAnswer<'values'>({ kind: 'values', settings: zones, quick: false }).value;
  const [scheme, setScheme] = useState<SchemeName>('triad');
  const [plan, setPlan] = useState<'picture' | 'even'>('picture');
  if (!key) return <Finding>Pick a colour first: a harmony is built about one.</Finding>;

  const count = OFFSETS[scheme].length;
  const means = reading?.zones.filter(({ share }) => share > 0).map(({ mean }) => mean) ?? [];
  const values = plan === 'picture' && means.length > 0 ? spread(means, count) : evenValues(count);
  const fresh: Harmony['settings'] = {
    scheme,
    values,
    intensity: DEFAULT_INTENSITY,
    turn: 0,
    turns: [],
  };
  const shown = set?.settings ?? fresh;
  const colour = set?.colour ?? key.colour;
  const wheel = wheelOf(set?.wheel ?? settings.wheel);
  const families = schemeFamilies(colour, shown, wheel);
  const put = (next: Harmony['settings'], what: string) =>
    set &&
    palette.change(
      (document) => changeSet(document, { ...set, settings: next }, newId),
      `set ${set.id} ${what}`,
    );
  return (
    <>
      <Finding>
        {`${capital(shown.scheme)} about ${families[0]}: ${list(Array.from(new Set(families)))}, on the ${wheel.title}.`}
      </Finding>
      <Steps colours={buildHarmony(colour, shown, wheel).map(hexFromOklab)} />
      {set && (
        <Section title="The harmony" aside="its colours are linked">
          <Slider
            label="Rotate all hues"
            words={turnWords(shown.turn)}
            min={-6}
            max={6}
            step={0.25}
            value={shown.turn}
            onChange={(turn) => put({ ...shown, turn }, 'turn')}
          />
          {OFFSETS[shown.scheme].map((_, i) => (
            <Slider
              key={i}
              label={`Rotate ${families[i]}`}
              said={`Rotate colour ${i + 1}, ${families[i]}`}
              words={turnWords(shown.turns[i] ?? 0)}
              min={-3}
              max={3}
              step={0.25}
              value={shown.turns[i] ?? 0}
              onChange={(turn) =>
                put(
                  {
                    ...shown,
                    turns: OFFSETS[shown.scheme].map((__, k) =>
                      k === i ? turn : (shown.turns[k] ?? 0),
                    ),
                  },
                  `turn ${i}`,
                )
              }
            />
          ))}
          <Slider
            label="Intensity"
            words={`${Math.round(shown.intensity * 100)} %`}
            min={0}
            max={1}
            step={0.01}
            value={shown.intensity}
            onChange={(intensity) => put({ ...shown, intensity }, 'intensity')}
          />
          <Button
            className="mt-1 w-full"
            onClick={() => palette.change((document) => unlinkSet(document, set.id))}
          >
            Unlink them
          </Button>
        </Section>
      )}
      <Section title={set ? 'Another' : 'Build'} aside={`about “${key.name}”`}>
        <div className="flex flex-col gap-2">
          <Select
            label="Scheme"
            value={scheme}
            options={SCHEMES.map((name) => ({ value: name, title: name }))}
            onChange={setScheme}
          />
          <Choice
            label="Values from"
            value={plan}
            options={[
              { value: 'picture', title: 'the picture' },
              { value: 'even', title: 'an even plan' },
            ]}
            onChange={setPlan}
          />
          {set && (
            <Steps
              colours={buildHarmony(key.colour, fresh, wheelOf(settings.wheel)).map(hexFromOklab)}
            />
          )}
          <Button
            weight="strong"
            onClick={() =>
              palette.change((document) =>
                addSet(
                  document,
                  {
                    id: newId(),
                    kind: 'harmony',
                    colour: key.colour,
                    wheel: settings.wheel,
                    settings: fresh,
                  },
                  newId,
                ),
              )
            }
          >
            Build it
          </Button>
        </div>
      </Section>
    </>
  );
}

function turnWords(turn: number): string {
  return turn === 0 ? 'none' : `${turn > 0 ? '+' : '−'}${Math.abs(turn)}`;
}

/** As many of some values as are wanted, spread evenly over them. */
function spread(values: readonly number[], count: number): number[] {
  return Array.from({ length: count }, (_, i) => {
    const at = count === 1 ? 0 : (i * (values.length - 1)) / (count - 1);
    return Math.round(values[Math.round(at)] * 100) / 100;
  });
}
