'use client';

import { useState } from 'react';
import { greyOf } from '@/core/colour/grey-of';
import { hexFromOklab } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import type { TraySwatch } from '@/contracts/study';
import { Select } from '@/ui/select';
import { useSettings } from '@/ui/settings';
import { valueWords } from '@/ui/words';
import { partingSentence } from './parting-sentence';

/** Swatches large and edge to edge, in colour and in grey, and how far each stands from one of them in value. */
export function SideBySide({ swatches }: { swatches: readonly TraySwatch[] }) {
  const { scale } = useSettings().settings;
  const [wanted, setGround] = useState('');
  const ground = swatches.find(({ id }) => id === wanted) ?? swatches[0];
  const rows = [
    { what: 'in colour', of: ({ colour }: TraySwatch) => colour },
    { what: 'in grey', of: ({ colour }: TraySwatch) => greyOf(colour) },
  ];
  return (
    <div>
      {rows.map(({ what, of }) => (
        <div key={what} className="flex h-20" role="img" aria-label={`Side by side ${what}`}>
          {swatches.map((swatch) => (
            <span
              key={swatch.id}
              className="min-w-0 grow basis-0"
              title={swatch.name}
              style={{ background: hexFromOklab(of(swatch)) }}
            />
          ))}
        </div>
      ))}
      <div className="flex text-center text-sm" aria-hidden>
        {swatches.map((swatch) => (
          <span key={swatch.id} className="min-w-0 grow basis-0 truncate">
            {valueWords(valueOfOklab(swatch.colour), scale)}
          </span>
        ))}
      </div>
      <p className="mt-1 font-serif text-[17px] leading-tight" data-testid="parting">
        {partingSentence(
          swatches.filter(({ id }) => id !== ground.id),
          ground,
          scale,
        )}
      </p>
      {swatches.length > 2 && (
        <label className="mt-1 flex items-center justify-between gap-3 text-[15px]">
          Held against
          <Select
            label="Held against"
            value={ground.id}
            options={swatches.map(({ id, name }) => ({ value: id, title: name }))}
            onChange={setGround}
          />
        </label>
      )}
    </div>
  );
}
