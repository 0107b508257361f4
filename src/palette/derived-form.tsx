'use client';

import { Plus } from 'lucide-react';
import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { wheelOf } from '@/core/colour/wheel';
import { derived, DEFAULT_DERIVED, reasonOf, RULES } from '@/core/palette/derived';
import { addDerived } from '@/study/set-edits';
import { Button } from '@/ui/button';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { capital } from '@/ui/words';
import { Finding } from '@/ui/panel-parts';
import { useKeySwatch } from './use-key-swatch';
import { usePaletteHost } from './host';
import { newId } from '@/study/edits';

/** What follows from a colour, rule by rule, each with its reason. */
export function DerivedForm() {
  const host = usePaletteHost();
  const key = useKeySwatch();
  const { settings } = useSettings();
  const lights = host.useLights();
  const [amount, setAmount] = useState(DEFAULT_DERIVED.amount);
  const [warmth, setWarmth] = useState(DEFAULT_DERIVED.warmth);
  if (!key) return <Finding>Pick a colour first: the others follow from it.</Finding>;
  const wheel = wheelOf(settings.wheel);
  return (
    <>
      <Finding>{`What follows from “${key.name}”.`}</Finding>
      <Slider
        label="How far"
        words={`${Math.round(amount * 100)} %`}
        min={0}
        max={1}
        step={0.05}
        value={amount}
        onChange={setAmount}
      />
      <Slider
        label="Warm light"
        words={warmth === 0 ? 'none' : `${warmth > 0 ? '+' : '−'}${Math.abs(warmth)}`}
        min={-1}
        max={1}
        step={0.1}
        value={warmth}
        onChange={(next) => setWarmth(Math.round(next * 10) / 10)}
      />
      {lights.length > 0 && (
        <Select
          label="By the light of"
          value=""
          options={[
            { value: '', title: 'by the light of …' },
            ...lights.map(({ name }, i) => ({ value: String(i), title: name })),
          ]}
          onChange={(i) => i !== '' && setWarmth(lights[Number(i)].warmth)}
        />
      )}
      <ul className="mt-2">
        {RULES.map((rule) => (
          <li key={rule} className="flex items-center gap-2 border-t py-1">
            <span className="flex h-10 w-12 shrink-0">
              {[key.colour, derived(key.colour, rule, { amount, warmth }, wheel)].map(
                (colour, i) => (
                  <span key={i} className="grow" style={{ background: hexFromOklab(colour) }} />
                ),
              )}
            </span>
            <span className="grow text-[15px] leading-tight">
              {capital(rule)}
              <span className="block text-sm text-soft">{reasonOf(rule)}</span>
            </span>
            <Button
              weight="quiet"
              aria-label={`Add ${rule}`}
              onClick={() =>
                host.change((document) =>
                  addDerived(
                    document,
                    { from: key.id, rule, amount, warmth, wheel: settings.wheel },
                    newId,
                  ),
                )
              }
            >
              <Plus size={18} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
