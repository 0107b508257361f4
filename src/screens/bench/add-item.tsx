'use client';

import { useState } from 'react';
import { oklabFromHex } from '@/core/colour/hex';
import type { ItemKind, ShelfItem } from '@/contracts/shelf';
import { newId } from '@/study/edits';
import { ITEM_NOUN } from '@/study/shelf-items';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/field';
import { Section } from '@/ui/panel-parts';
import { typedColour } from '@/ui/typed-colour';

const GREY = oklabFromHex('#808080')!;

interface Props {
  kind: ItemKind;
  onAdd: (item: ShelfItem) => void;
}

/** One by hand: what is written on it, and its colour as it was matched. */
export function AddItem({ kind, onAdd }: Props) {
  const title = `Add ${kind === 'inks' ? 'an' : 'a'} ${ITEM_NOUN[kind]}`;
  const [name, setName] = useState('');
  const [set, setSet] = useState('');
  const [number, setNumber] = useState('');
  const [text, setText] = useState('');
  const colour = text ? typedColour(text, GREY) : null;
  return (
    <Section title={title}>
      <form
        aria-label={title}
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
          label={`Colour ${kind === 'inks' ? 'printed solid' : 'of a full stroke'}: hex, lab() …`}
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
