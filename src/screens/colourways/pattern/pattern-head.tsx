'use client';

import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { PatternPart } from '@/contracts/pattern-drawing';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { NoteField, TextField } from '@/ui/field';
import { HistoryDialog } from '@/ui/history-dialog';
import { queryFor } from '@/ui/queries';
import { several } from '@/ui/words';
import { useDrawing } from './drawing-room';
import { useChange, useContent } from './use-pattern';

const PART_WORDS: Record<PatternPart, string> = {
  title: 'its title or note was changed',
  drawing: 'its panes were filled, or not any more',
  merges: 'near-duplicates were merged or parted',
  sources: 'other colours were taken',
  choice: 'a colourway was tried',
  colourways: 'colourways were kept, named or deleted',
  cloth: 'its repeat was changed',
};

/** The pattern's title, which opens what is known of it, and its earlier states. */
export function PatternHead() {
  const { patternId, facts } = useDrawing();
  const title = useContent((content) => content.title);
  const note = useContent((content) => content.note);
  const change = useChange();
  const [typed, setTyped] = useState<string | null>(null);
  const [isOpen, setOpen] = useState(false);
  const [isHistory, setHistory] = useState(false);
  return (
    <>
      <h1 className="min-w-0 grow">
        <button
          type="button"
          title="Title and note"
          onClick={() => setOpen(true)}
          className="flex min-h-10 max-w-full items-center text-left hover:bg-faint"
        >
          <span className="truncate font-serif text-2xl leading-tight">{title}</span>
        </button>
      </h1>
      <Dialog
        open={isOpen}
        onClose={() => setOpen(false)}
        title={title}
        about={`${several(facts.shapes, 'shape')}, ${Math.round(facts.width)} × ${Math.round(facts.height)}${facts.kind === 'png' ? ' pixels, traced from a picture' : ''}`}
      >
        <TextField
          label="Title"
          value={typed ?? title}
          maxLength={200}
          error={(typed ?? title).trim() ? undefined : 'A pattern needs a title.'}
          onChange={({ target: { value } }) => {
            setTyped(value);
            // An empty one waits for its first letter.
            if (value.trim()) change((was) => ({ ...was, title: value }), 'title');
          }}
          onBlur={() => setTyped(null)}
        />
        <NoteField
          label="Note"
          value={note}
          maxLength={2000}
          onChange={({ target: { value } }) => change((was) => ({ ...was, note: value }), 'note')}
        />
        <Button
          className="mt-3"
          onClick={() => {
            setOpen(false);
            setHistory(true);
          }}
        >
          Earlier states
        </Button>
      </Dialog>
      <HistoryDialog
        title="Earlier states"
        open={isHistory}
        onClose={() => setHistory(false)}
        states={queryFor(endpoints.listPatternHistory, { id: patternId })}
        stateAt={(revision) =>
          queryFor(endpoints.getPatternRevision, { id: patternId, revision: String(revision) })
        }
        words={({ changed }, first) =>
          first
            ? ['it was imported']
            : changed.length > 0
              ? changed.map((part) => PART_WORDS[part])
              : ['saved']
        }
        onRestore={(content) => change(() => content)}
      >
        {(content) => (
          <p className="text-[15px]">
            {`“${content.title}”, ${several(content.merges.length, 'merged colour')}, ${several(content.sources.length, 'source')}, ${several(content.colourways.length, 'colourway')}.`}
          </p>
        )}
      </HistoryDialog>
    </>
  );
}
