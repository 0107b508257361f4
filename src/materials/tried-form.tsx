'use client';

import { useState } from 'react';
import type { Oklab } from '@/core/colour/oklab';
import type { ShelfTry } from '@/contracts/shelf';
import { Button } from '@/ui/button';
import { NoteField, TextField } from '@/ui/field';
import { DabFields } from './dab-fields';
import { useColourChange } from '@/ui/use-colour-change';

interface Props {
  parts: ShelfTry['parts'];
  nameOf: (tube: string) => string;
  /** What the dab is matched from. */
  start: Oklab | null;
  note: string;
  onTried: (part: Pick<ShelfTry, 'parts' | 'result' | 'note' | 'triedAt'>) => void;
}

const GREY: Oklab = { L: 0.6, a: 0, b: 0 };

/** What was really mixed and what it looked like: parts as used, the dab's colour, words. */
export function TriedForm({ parts, nameOf, start, note: was, onTried }: Props) {
  const [amounts, setAmounts] = useState(() => parts.map((part) => String(part.parts)));
  const dab = useColourChange(start ?? GREY);
  const [note, setNote] = useState(was);
  const colour = start || dab.change ? dab.colour : null;
  const used = amounts.map(Number);
  const isMixed = used.every((amount) => amount >= 0 && amount <= 1000) && used.some((n) => n > 0);
  return (
    <form
      aria-label="What was really mixed"
      className="@container mt-2 border-t py-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!colour || !isMixed) return;
        onTried({
          parts: parts
            .map(({ tube }, i) => ({ tube, parts: used[i] }))
            .filter((part) => part.parts > 0),
          result: colour,
          note: note.trim(),
          triedAt: new Date().toISOString(),
        });
      }}
    >
      <div className="grid gap-3 @2xl:grid-cols-3">
        <div className="flex flex-col gap-1">
          {parts.map(({ tube }, i) => (
            <TextField
              key={tube}
              label={`Parts of ${nameOf(tube)}`}
              inputMode="decimal"
              value={amounts[i]}
              error={used[i] >= 0 && used[i] <= 1000 ? undefined : 'A number from 0 to 1000.'}
              onChange={(event) =>
                setAmounts(amounts.with(i, event.target.value.replace(',', '.')))
              }
            />
          ))}
        </div>
        <DabFields {...dab} />
        <div className="flex flex-col gap-2">
          <NoteField
            label="In words"
            value={note}
            maxLength={2000}
            onChange={(event) => setNote(event.target.value)}
          />
          <Button type="submit" weight="strong" disabled={!colour || !isMixed}>
            Keep what came of it
          </Button>
        </div>
      </div>
    </form>
  );
}
