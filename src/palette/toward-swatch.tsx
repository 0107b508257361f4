'use client';

import { useState } from 'react';
import type { Oklab } from '@/core/colour/oklab';
import type { TraySwatch } from '@/contracts/study';
import { typeColour } from '@/study/colour-edits';
import { Select } from '@/ui/select';
import { Slider } from '@/ui/slider';
import { usePaletteHost, useSwatches } from './host';

/** Moves a swatch toward another by a share of the way. */
export function TowardSwatch({ swatch }: { swatch: TraySwatch }) {
  const host = usePaletteHost();
  const others = useSwatches().filter(({ id }) => id !== swatch.id);
  /** Where the way begins: what the swatch was when the other was chosen. */
  const [way, setWay] = useState<{ to: string; from: Oklab; share: number } | null>(null);
  const other = others.find(({ id }) => id === way?.to);
  if (others.length === 0) return null;
  return (
    <div className="mt-2">
      <label className="flex items-center justify-between gap-3 text-[15px]">
        Toward another
        <Select
          label="Toward another swatch"
          value={other?.id ?? ''}
          options={[
            { value: '', title: 'none' },
            ...others.map(({ id, name }) => ({ value: id, title: name })),
          ]}
          onChange={(to) => setWay(to ? { to, from: swatch.colour, share: 0 } : null)}
        />
      </label>
      {way && other && (
        <Slider
          label="Of the way"
          said={`Share of the way to ${other.name}`}
          words={`${Math.round(way.share * 100)} %`}
          min={0}
          max={1}
          step={0.05}
          value={way.share}
          onChange={(share) => {
            setWay({ ...way, share });
            host.change(
              (document) => typeColour(document, swatch.id, between(way.from, other.colour, share)),
              `toward ${swatch.id} ${other.id}`,
            );
          }}
        />
      )}
    </div>
  );
}

function between(from: Oklab, to: Oklab, share: number): Oklab {
  const part = (key: keyof Oklab) => from[key] + share * (to[key] - from[key]);
  return { L: part('L'), a: part('a'), b: part('b') };
}
