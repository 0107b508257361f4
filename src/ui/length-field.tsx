'use client';

import { useState } from 'react';
import { TextField } from './field';

interface Props {
  label: string;
  value: number;
  range: readonly [number, number];
  onChange: (value: number) => void;
}

/** A length that is taken once it makes sense. */
export function LengthField({ label, value, range: [min, max], onChange }: Props) {
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
