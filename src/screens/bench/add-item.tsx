'use client';

import { useState } from 'react';
import { oklabFromHex } from '@/core/colour/hex';
import type { ShelfStick } from '@/contracts/shelf';
import { newId } from '@/study/edits';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/field';
import { Section } from '@/ui/panel-parts';
import { typedColour } from '@/ui/typed-colour';

const GREY = oklabFromHex('#808080')!;

/** One stick by hand: what is written on it, and its colour as it was matched. */
export function AddStick({ onAdd }: { onAdd: (stick: ShelfStick) => void }) {
  const [name, setName] = useState('');
  const [set, setSet] = useState('');
  const [number, setNumber] = useState('');
  const [text, setText] = useState('');
  const colour = text ? typedColour(text, GREY) : null;
  return (
    <Section title="Add a stick">
      <form
        aria-label="Add a stick"
        className="flex flex-col gap-1"
        onSubmit={(event) => {
          event.preventDefault();
          if (!colour || !name.trim()) return;
          onAdd({ id: newId(), name: name.trim(), set, number, colour, standing: 'here' });
          setName('');
          setNumber('');
          setText('');
        }}
      >
        <TextField
          label="Name"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
        <div className="grid grid-cols-2 gap-2">
          <TextField
            label="Set"
            value={set}
            maxLength={120}
            onChange={(event) => setSet(event.target.value)}
          />
          <TextField
            label="Number"
            value={number}
            maxLength={40}
            onChange={(event) => setNumber(event.target.value)}
          />
        </div>
        <TextField
          label="Colour of a full stroke: hex, lab() …"
          value={text}
          error={text && !colour ? 'Not a colour yet: try #4c5c75.' : undefined}
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit" className="mt-1" disabled={!colour || !name.trim()}>
          Add it
        </Button>
      </form>
    </Section>
  );
}
