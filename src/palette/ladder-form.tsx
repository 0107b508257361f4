'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { MIN_STEPS, ladder, MAX_STEPS, DEFAULT_LADDER } from '@/core/palette/ladder';
import type { PaletteSet } from '@/contracts/palette';
import { addSet, changeSet, unlinkSet } from '@/study/set-edits';
import { Button } from '@/ui/button';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { several, valueWords } from '@/ui/words';
import { Finding, Section } from '@/ui/panel-parts';
import { useKeySwatch, useSet } from './use-key-swatch';
import { usePaletteHost } from './host';
import { Steps } from './steps';
import { newId } from '@/study/edits';

type Ladder = Extract<PaletteSet, { kind: 'ladder' }>;

/** Tones of one colour at even values, which move as one. */
export function LadderForm() {
  const host = usePaletteHost();
  const key = useKeySwatch();
  const set = useSet('ladder');
  const { settings } = useSettings();
  if (!key) return <Finding>Pick a colour first: a ladder is built from one.</Finding>;
  const adjust = (part: Partial<Ladder['settings']>) =>
    set &&
    host.change(
      (document) => changeSet(document, { ...set, settings: { ...set.settings, ...part } }, newId),
      `set ${set.id} ${Object.keys(part).join()}`,
    );
  const add = () =>
    host.change((document) =>
      addSet(
        document,
        { id: newId(), kind: 'ladder', colour: key.colour, settings: DEFAULT_LADDER },
        newId,
        key.id,
      ),
    );
  const { steps, from, to, drift, swing, intensity, taper } = set?.settings ?? DEFAULT_LADDER;
  return (
    <>
      <Finding>
        {set
          ? `A ladder of ${several(steps, 'tone')} from value ${valueWords(from, settings.scale)} to ${valueWords(to, settings.scale)}; rotate its hue and all of them move.`
          : `A ladder takes “${key.name}” from dark to light, itself among its tones.`}
      </Finding>
      <Steps
        colours={ladder(set?.colour ?? key.colour, set?.settings ?? DEFAULT_LADDER).map(
          hexFromOklab,
        )}
      />
      {set && (
        <Section title="The ladder" aside="its tones are linked">
          <Slider
            label="Tones"
            words={String(steps)}
            min={MIN_STEPS}
            max={MAX_STEPS}
            value={steps}
            onChange={(next) => adjust({ steps: next })}
          />
          <Slider
            label="Rotate hue"
            words={`${swing}°`}
            min={-180}
            max={180}
            value={swing}
            onChange={(next) => adjust({ swing: next })}
          />
          <Slider
            label="Warm lights, cool darks"
            words={drift === 0 ? 'none' : `${drift < 0 ? 'reversed, ' : ''}${Math.abs(drift)}°`}
            min={-60}
            max={60}
            value={drift}
            onChange={(next) => adjust({ drift: next })}
          />
          <Slider
            label="Intensity"
            words={`${Math.round(intensity * 100)} %`}
            min={0}
            max={2}
            step={0.05}
            value={intensity}
            onChange={(next) => adjust({ intensity: next })}
          />
          <Slider
            label="Grey the ends"
            words={`${Math.round(taper * 100)} %`}
            min={0}
            max={1}
            step={0.05}
            value={taper}
            onChange={(next) => adjust({ taper: next })}
          />
          <Slider
            label="Darkest"
            words={valueWords(from, settings.scale)}
            min={0.5}
            max={to - 1}
            step={0.25}
            value={from}
            onChange={(next) => adjust({ from: next })}
          />
          <Slider
            label="Lightest"
            words={valueWords(to, settings.scale)}
            min={from + 1}
            max={9.75}
            step={0.25}
            value={to}
            onChange={(next) => adjust({ to: next })}
          />
        </Section>
      )}
      <div className="flex gap-2">
        <Button weight={set ? 'plain' : 'strong'} className="grow" onClick={add}>
          {set ? `Another, from “${short(key.name)}”` : 'Build the ladder'}
        </Button>
        {set && (
          <Button onClick={() => host.change((document) => unlinkSet(document, set.id))}>
            Unlink
          </Button>
        )}
      </div>
    </>
  );
}

const LONG = 22;
function short(name: string): string {
  return name.length > LONG ? `${name.slice(0, LONG - 1)}…` : name;
}
