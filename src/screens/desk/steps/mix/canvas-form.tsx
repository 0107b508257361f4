'use client';

import { useState } from 'react';
import { Choice } from '@/ui/choice';
import { TextField } from '@/ui/field';
import { Fold } from '@/ui/panel-parts';
import { useStepView } from '../../desk-store';
import { FILMS, mixView } from './mix-view';

/** The canvas, how thick it is painted, and the tubes' nozzle. */
export function CanvasForm() {
  const [{ width, height, film, nozzle }, look] = useStepView(mixView);
  return (
    <Fold
      title="Canvas"
      aside={`${width} × ${height} cm, ${film === 'usual' ? 'painted as usual' : `painted ${film}`}`}
    >
      <div className="grid grid-cols-3 gap-2">
        <Length
          label="Width, cm"
          value={width}
          range={[5, 400]}
          onChange={(next) => look({ width: next })}
        />
        <Length
          label="Height, cm"
          value={height}
          range={[5, 400]}
          onChange={(next) => look({ height: next })}
        />
        <Length
          label="Nozzle, mm"
          value={nozzle}
          range={[2, 30]}
          onChange={(next) => look({ nozzle: next })}
        />
      </div>
      <div className="mt-2">
        <Choice
          label="How thick the paint lies"
          showLabel={false}
          fill
          value={film}
          options={FILMS.map((value) => ({ value, title: value, said: `Painted ${value}` }))}
          onChange={(next) => look({ film: next })}
        />
      </div>
      <p className="mt-1 text-sm text-soft">A quarter more than the canvas takes is planned.</p>
    </Fold>
  );
}

interface LengthProps {
  label: string;
  value: number;
  range: readonly [number, number];
  onChange: (value: number) => void;
}

/** A length that is taken once it makes sense. */
function Length({ label, value, range: [min, max], onChange }: LengthProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const number = Number((typed ?? String(value)).replace(',', '.'));
  const isRight = number >= min && number <= max;
  return (
    <TextField
      label={label}
      inputMode="decimal"
      value={typed ?? String(value)}
      error={isRight ? undefined : `${min} to ${max}`}
      onChange={(event) => {
        setTyped(event.target.value);
        const next = Number(event.target.value.replace(',', '.'));
        if (next >= min && next <= max) onChange(next);
      }}
      onBlur={() => setTyped(null)}
    />
  );
}
