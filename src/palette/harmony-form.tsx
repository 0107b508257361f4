'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { wheelOf } from '@/core/colour/wheel';
import { SCHEMES, type SchemeName } from '@/core/measure/harmony';
import {
  buildHarmony,
  evenValues,
  OFFSETS,
  DEFAULT_INTENSITY,
  schemeFamilies,
} from '@/core/palette/build-harmony';
import { addSet, changeSet, unlinkSet } from '@/study/set-edits';
import { newId } from '@/study/edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Finding, Section } from '@/ui/panel-parts';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { capital, list } from '@/ui/words';
import { usePaletteHost } from './host';
import { HarmonySettings, type Harmony } from './harmony-settings';
import { Steps } from './steps';
import { useKeySwatch, useSet } from './use-key-swatch';

/** The hues of a scheme about a key colour, with values and intensities that one can use. */
export function HarmonyForm() {
  const host = usePaletteHost();
  const key = useKeySwatch();
  const set = useSet('harmony');
  const { settings } = useSettings();
  const means = host.useZoneMeans();
  const [scheme, setScheme] = useState<SchemeName>('triad');
  const [plan, setPlan] = useState<'picture' | 'even'>('picture');
  if (!key) return <Finding>Pick a colour first: a harmony is built about one.</Finding>;

  const count = OFFSETS[scheme].length;
  const values =
    plan === 'picture' && means && means.length > 0 ? spread(means, count) : evenValues(count);
  const fresh: Harmony['settings'] = {
    scheme,
    values: [valueOfOklab(key.colour), ...values.slice(1)],
    intensity: DEFAULT_INTENSITY,
    intensities: [],
    keepsKey: true,
    tones: 1,
    turn: 0,
    turns: [],
  };
  const shown = set?.settings ?? fresh;
  const colour = set?.colour ?? key.colour;
  const wheel = wheelOf(set?.wheel ?? settings.wheel);
  const families = schemeFamilies(colour, shown, wheel);
  return (
    <>
      <Finding>
        {`${capital(shown.scheme)} about ${families[0]}: ${list(Array.from(new Set(families)))}, on the ${wheel.title}.`}
      </Finding>
      <Steps colours={buildHarmony(colour, shown, wheel).map(hexFromOklab)} />
      {set && (
        <HarmonySettings
          settings={set.settings}
          colours={buildHarmony(colour, shown, wheel)}
          families={families}
          onChange={(next, what) =>
            host.change(
              (document) => changeSet(document, { ...set, settings: next }, newId),
              `set ${set.id} ${what}`,
            )
          }
          onUnlink={() => host.change((document) => unlinkSet(document, set.id))}
        />
      )}
      <Section title={set ? 'Another' : 'Build'} aside={`about “${key.name}”`}>
        <div className="flex flex-col gap-2">
          <Select
            label="Scheme"
            value={scheme}
            options={SCHEMES.map((name) => ({ value: name, title: name }))}
            onChange={setScheme}
          />
          {host.hasPicture && (
            <Choice
              label="Values from"
              value={plan}
              options={[
                { value: 'picture', title: 'the picture' },
                { value: 'even', title: 'an even plan' },
              ]}
              onChange={setPlan}
            />
          )}
          {set && (
            <Steps
              colours={buildHarmony(key.colour, fresh, wheelOf(settings.wheel)).map(hexFromOklab)}
            />
          )}
          <Button
            weight="strong"
            onClick={() =>
              host.change((document) =>
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
                  key.id,
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

/** As many of some values as are wanted, spread evenly over them. */
function spread(values: readonly number[], count: number): number[] {
  return Array.from({ length: count }, (_, i) => {
    const at = count === 1 ? 0 : (i * (values.length - 1)) / (count - 1);
    return Math.round(values[Math.round(at)] * 100) / 100;
  });
}
