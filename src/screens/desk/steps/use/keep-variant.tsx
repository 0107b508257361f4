'use client';

import { useState } from 'react';
import { keepVariant, type VariantKind } from '@/study/use-edits';
import { newId } from '@/study/edits';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { TextField } from '@/ui/field';
import { say, showError } from '@/ui/notices';
import { useDeskStore } from '../../desk-store';
import { variantName } from './variant-name';

/** Keeps what is tried under a name, beside the study and never over it. */
export function KeepVariant({ kind }: { kind: VariantKind }) {
  const store = useDeskStore();
  const [name, setName] = useState<string | null>(null);
  const keep = () => {
    const as = name?.trim();
    if (!as) return;
    try {
      store.getState().change((document) => keepVariant(document, kind, as, newId));
      setName(null);
      say(`“${as}” is kept with the study.`);
    } catch (error) {
      showError(error);
    }
  };
  return (
    <>
      <Button onClick={() => setName(variantName(store.getState().history.present, kind))}>
        Keep it …
      </Button>
      <Dialog
        open={name !== null}
        onClose={() => setName(null)}
        title="Keep this try"
        about="It is kept as a variant of the study; the study itself stays as it is."
      >
        <form
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            keep();
          }}
        >
          <TextField
            label="Name"
            value={name ?? ''}
            maxLength={120}
            autoFocus
            onChange={(event) => setName(event.target.value)}
          />
          <div className="flex justify-end">
            <Button weight="strong" type="submit" disabled={!name?.trim()}>
              Keep
            </Button>
          </div>
        </form>
      </Dialog>
    </>
  );
}
