'use client';

import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { LibrarySearch } from '@/contracts/library-search';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { TextField } from '@/ui/field';
import { say, showError } from '@/ui/notices';

/** Saves the search under a name, to be run again with one click. */
export function KeepSearch({ search, onKept }: { search: LibrarySearch; onKept: () => void }) {
  const [name, setName] = useState<string | null>(null);
  const keep = async () => {
    const kept = name?.trim();
    if (!kept) return;
    try {
      await call(endpoints.keepSearch, { body: { name: kept, search } });
      setName(null);
      say(`“${kept}” is kept on the left.`);
      onKept();
    } catch (error) {
      showError(error);
    }
  };
  return (
    <>
      <Button onClick={() => setName(search.text.trim())}>Keep this search</Button>
      <Dialog
        open={name !== null}
        onClose={() => setName(null)}
        title="Keep this search"
        about="It stands on the left, and always finds what is there by then."
      >
        <form
          onSubmit={(event) => {
            event.preventDefault();
            void keep();
          }}
          className="flex flex-col gap-3"
        >
          <TextField
            label="Name"
            autoFocus
            maxLength={100}
            value={name ?? ''}
            onChange={(event) => setName(event.target.value)}
          />
          <Button weight="strong" type="submit" className="self-start" disabled={!name?.trim()}>
            Keep
          </Button>
        </form>
      </Dialog>
    </>
  );
}
