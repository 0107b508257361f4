'use client';

import { useState } from 'react';
import type { SessionContent } from '@/contracts/session';
import { Button } from '@/ui/button';

const WORDS = ['good', 'too light', 'too dark', 'too strong', 'too dull', 'edges', 'drawing'];
const SHOWN = 3;

/** One tap writes a note; others are typed. */
export function QuickNotes({
  notes,
  onNote,
}: {
  notes: SessionContent['notes'];
  onNote: (words: string) => void;
}) {
  const [text, setText] = useState('');
  const last = notes.slice(-SHOWN).toReversed();
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5" role="group" aria-label="Notes">
      {WORDS.map((word) => (
        <Button key={word} className="min-h-12 px-4 text-lg" onClick={() => onNote(word)}>
          {word}
        </Button>
      ))}
      <form
        className="flex"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim()) onNote(text.trim());
          setText('');
        }}
      >
        <input
          aria-label="A note of your own"
          placeholder="a note …"
          value={text}
          maxLength={500}
          onChange={({ target }) => setText(target.value)}
          className="h-12 w-44 border border-line bg-sheet px-2.5 text-lg placeholder:text-soft"
        />
      </form>
      {last.length > 0 && (
        <p role="status" className="truncate text-[15px] text-soft">
          noted: {last.map(({ words }) => words).join(', ')}
          {notes.length > SHOWN && ` and ${notes.length - SHOWN} more`}
        </p>
      )}
    </div>
  );
}
