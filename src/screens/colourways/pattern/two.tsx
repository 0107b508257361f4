'use client';

import { useState } from 'react';
import { Select } from '@/ui/select';
import { DrawingStage } from './drawing-stage';
import { FITTED } from './use-pan-zoom';
import type { Shown } from './use-colourways';

interface Props {
  shown: ReadonlyMap<string, Shown>;
  one: Shown;
  other: Shown;
  onChoose: (side: 'shown' | 'beside', id: string) => void;
}

/** Two colourways side by side, zoomed and panned together. */
export function Two({ shown, one, other, onChoose }: Props) {
  const [view, setView] = useState(FITTED);
  const options = [...shown.values()].map(({ id, name }) => ({ value: id, title: name }));
  const sides = [
    { side: 'shown', is: one, label: 'On the left' },
    { side: 'beside', is: other, label: 'On the right' },
  ] as const;
  return (
    <div className="grid h-full grid-cols-2 gap-px bg-line" data-testid="two">
      {sides.map(({ side, is, label }) => (
        <div key={side} className="flex min-h-0 flex-col bg-surround">
          <div className="bg-panel p-1">
            <Select
              wide
              label={label}
              value={is.id}
              options={options}
              onChange={(id) => onChoose(side, id)}
            />
          </div>
          <div className="min-h-0 grow">
            <DrawingStage given={is.given} label={is.name} view={view} setView={setView} />
          </div>
        </div>
      ))}
    </div>
  );
}
