'use client';

import { useState } from 'react';
import type { Oklab } from '@/core/colour/oklab';
import { Button } from '@/ui/button';
import { NoteField } from '@/ui/field';
import { useColourChange } from '@/ui/use-colour-change';
import { DabFields } from './dab-fields';

interface Props {
  /** What the patch is matched from: what was foretold of it. */
  start: Oklab;
  onTried: (colour: Oklab, note: string) => void;
}

/** What came of layers that were really laid: the patch's colour, and words. */
export function PatchForm({ start, onTried }: Props) {
  const dab = useColourChange(start);
  const [note, setNote] = useState('');
  return (
    <form
      aria-label="What came of it"
      className="mt-2 border-t py-3"
      onSubmit={(event) => {
        event.preventDefault();
        onTried(dab.colour, note.trim());
      }}
    >
      <DabFields {...dab} />
      <div className="mt-2 flex flex-col gap-2">
        <NoteField
          label="In words"
          value={note}
          maxLength={2000}
          onChange={(event) => setNote(event.target.value)}
        />
        <Button type="submit" weight="strong">
          Keep what came of it
        </Button>
      </div>
    </form>
  );
}
