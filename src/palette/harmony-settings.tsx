'use client';

import type { Oklab } from '@/core/colour/oklab';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { OFFSETS } from '@/core/palette/build-harmony';
import { MAX_STEPS } from '@/core/palette/ladder';
import type { PaletteSet } from '@/contracts/palette';
import { Button } from '@/ui/button';
import { Fold, Section } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { valueWords } from '@/ui/words';

export type Harmony = Extract<PaletteSet, { kind: 'harmony' }>;
type Settings = Harmony['settings'];

interface Props {
  settings: Settings;
  colours: readonly Oklab[];
  /** The family that each of the scheme's hues stands in. */
  families: readonly string[];
  /** `what` names the slider: moves of one are one step to undo. */
  onChange: (settings: Settings, what: string) => void;
  onUnlink: () => void;
}

/** What a harmony's colours share, and what each has by itself. */
export function HarmonySettings({ settings, colours, families, onChange, onUnlink }: Props) {
  const { scale } = useSettings().settings;
  const { scheme, turn, turns, tones, intensity, intensities, values, keepsKey } = settings;
  /** A list with one of its entries set, as long as the scheme. */
  const withOne = (of: (i: number) => number, at: number, next: number) =>
    OFFSETS[scheme].map((_, i) => (i === at ? next : of(i)));
  const valueOf = (i: number) => values[i % values.length];
  const intensityOf = (i: number) => intensities[i] ?? intensity;
  return (
    <Section title="The harmony" aside="its colours are linked">
      <Slider
        label="Rotate all hues"
        words={turnWords(turn)}
        min={-6}
        max={6}
        step={0.25}
        value={turn}
        onChange={(next) => onChange({ ...settings, turn: next }, 'turn')}
      />
      <Slider
        label="Intensity"
        words={intensities.length > 0 ? 'each its own' : `${Math.round(intensity * 100)} %`}
        min={0}
        max={1}
        step={0.01}
        value={intensity}
        onChange={(next) =>
          onChange({ ...settings, intensity: next, intensities: [] }, 'intensity')
        }
      />
      <Slider
        label="Tones of the key"
        words={tones < 3 ? 'itself' : String(tones)}
        min={2}
        max={MAX_STEPS}
        value={Math.max(2, tones)}
        onChange={(next) => onChange({ ...settings, tones: next < 3 ? 1 : next }, 'tones')}
      />
      {OFFSETS[scheme].map((_, i) => (
        <Fold
          key={i}
          title={
            <span className="flex items-center gap-2">
              <span className="h-6 w-8" style={{ background: hexFromOklab(colours[i]) }} />
              {families[i]}
            </span>
          }
          aside={
            i === 0 && keepsKey
              ? 'the key, as it is'
              : `value ${valueWords(valueOfOklab(colours[i]), scale)}, ${Math.round(intensityOf(i) * 100)} %`
          }
        >
          <Slider
            label="Rotate"
            said={`Rotate colour ${i + 1}, ${families[i]}`}
            words={turnWords(turns[i] ?? 0)}
            min={-3}
            max={3}
            step={0.25}
            value={turns[i] ?? 0}
            onChange={(next) =>
              onChange({ ...settings, turns: withOne((k) => turns[k] ?? 0, i, next) }, `turn ${i}`)
            }
          />
          {!(i === 0 && keepsKey) && (
            <>
              <Slider
                label="Value"
                said={`Value of colour ${i + 1}, ${families[i]}`}
                words={valueWords(valueOf(i), scale)}
                min={0.5}
                max={9.75}
                step={0.25}
                value={valueOf(i)}
                onChange={(next) =>
                  onChange({ ...settings, values: withOne(valueOf, i, next) }, `value ${i}`)
                }
              />
              <Slider
                label="Intensity"
                said={`Intensity of colour ${i + 1}, ${families[i]}`}
                words={`${Math.round(intensityOf(i) * 100)} %`}
                min={0}
                max={1}
                step={0.01}
                value={intensityOf(i)}
                onChange={(next) =>
                  onChange(
                    { ...settings, intensities: withOne(intensityOf, i, next) },
                    `intensity ${i}`,
                  )
                }
              />
            </>
          )}
        </Fold>
      ))}
      <Button className="mt-1 w-full" onClick={onUnlink}>
        Unlink them
      </Button>
    </Section>
  );
}

function turnWords(turn: number): string {
  return turn === 0 ? 'none' : `${turn > 0 ? '+' : '−'}${Math.abs(turn)}`;
}
