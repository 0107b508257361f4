'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import {
  MAX_VARIATIONS,
  MIN_VARIATIONS,
  VARIED_BY,
  variationsOf,
  type VariedBy,
} from '@/core/palette/variations';
import type { TraySwatch } from '@/contracts/study';
import { newId } from '@/study/edits';
import { addVariations } from '@/study/palette-edits';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Slider } from '@/ui/slider';
import { usePaletteHost } from './host';
import { Steps } from './steps';

const TITLES: Record<VariedBy, { title: string; said?: string }> = {
  family: { title: 'family' },
  temperature: { title: 'warmth' },
  intensity: { title: 'strength' },
  picture: { title: 'as there', said: 'as the picture varies there' },
};

/** Neighbours of a swatch at its value, whose mean it is: put beneath it, it opens into them. */
export function VariationsForm({ swatch }: { swatch: TraySwatch }) {
  const host = usePaletteHost();
  const [by, setBy] = useState<VariedBy>('family');
  const [count, setCount] = useState(5);
  const parts = host.useParts(swatch);
  const offered = VARIED_BY.filter((one) => one !== 'picture' || parts.length > 1);
  const colours = variationsOf(swatch.colour, by, count, parts);
  return (
    <div className="flex flex-col gap-1">
      <Choice
        label="They vary by"
        showLabel={false}
        fill
        value={by}
        options={offered.map((value) => ({ value, ...TITLES[value] }))}
        onChange={setBy}
      />
      <Slider
        label="How many"
        words={String(count)}
        min={MIN_VARIATIONS}
        max={MAX_VARIATIONS}
        value={count}
        onChange={setCount}
      />
      <Steps colours={colours.map(hexFromOklab)} />
      <Button
        onClick={() =>
          host.change((document) => addVariations(document, swatch.id, colours, newId))
        }
      >
        Keep these under it
      </Button>
    </div>
  );
}
