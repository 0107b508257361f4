'use client';

import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { newId } from '@/study/edits';
import {
  changeColourway,
  colourwayLibrary,
  deleteColourway,
  goOnFrom,
  putColourwayBack,
} from '@/study/pattern-edits';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { TextField } from '@/ui/field';
import { Menu } from '@/ui/menu';
import { offerUndo, say, showError } from '@/ui/notices';
import { useDrawing } from './drawing-room';
import { ORIGINAL, TRIED } from './pattern-view';
import type { Shown } from './use-colourways';
import { useKeep, useMade } from './use-keep';
import { useChange, usePatternState } from './use-pattern';

interface Props {
  shown: Shown;
  onShow: (id: string) => void;
}

/** What can be done with what is looked at: kept, named, taken back to its settings, made a library. */
export function KeptTools({ shown, onShow }: Props) {
  const { title } = useDrawing();
  const store = usePatternState();
  const change = useChange();
  const keep = useKeep();
  const made = useMade();
  const [isNaming, setNaming] = useState(false);
  const { id, name, favourite, given, colours } = shown;
  if (id === ORIGINAL) return <span className="text-[15px]">The drawing as it came.</span>;
  const asLibrary = async () => {
    try {
      await call(endpoints.createLibrary, {
        body: { ...colourwayLibrary(title, name, colours, newId), studyId: null },
      });
      say(`Its colours are a library in the Drawers: “${title}: ${name}”.`);
    } catch (error) {
      showError(error);
    }
  };
  if (id === TRIED)
    return (
      <>
        <Button weight="strong" onClick={() => setNaming(true)}>
          Keep this colourway
        </Button>
        <Button weight="quiet" onClick={() => void asLibrary()}>
          Save its colours as a library
        </Button>
        {isNaming && (
          <NameDialog
            title="Keep this colourway"
            name={`Colourway ${store.getState().history.present.colourways.length + 1}`}
            onClose={() => setNaming(false)}
            onName={(next) => {
              if (keep(next, made(given))) say(`“${next}” is kept beside the others.`);
            }}
          />
        )}
      </>
    );
  const goOn = () => {
    const kept = store.getState().history.present.colourways.find((one) => one.id === id);
    if (!kept) return;
    change(goOnFrom(kept, newId));
    onShow(TRIED);
  };
  return (
    <>
      <Button weight="strong" onClick={goOn}>
        Go on from this
      </Button>
      <Button
        aria-pressed={favourite}
        onClick={() => change(changeColourway(id, { favourite: !favourite }))}
      >
        {favourite ? '★ Favourite' : '☆ Favourite'}
      </Button>
      <Menu
        trigger={<Button aria-label="More for this colourway">More</Button>}
        items={[
          { title: 'Rename', onSelect: () => setNaming(true) },
          { title: 'Save its colours as a library', onSelect: () => void asLibrary() },
          {
            title: 'Delete',
            onSelect: () => {
              const { colourways } = store.getState().history.present;
              const place = colourways.findIndex((one) => one.id === id);
              const kept = colourways[place];
              change(deleteColourway(id));
              onShow(ORIGINAL);
              offerUndo(`Deleted “${name}”.`, () => change(putColourwayBack(kept, place)));
            },
          },
        ]}
      />
      {isNaming && (
        <NameDialog
          title="Rename the colourway"
          name={name}
          onClose={() => setNaming(false)}
          onName={(next) => change(changeColourway(id, { name: next }))}
        />
      )}
    </>
  );
}

function NameDialog({
  title,
  name,
  onClose,
  onName,
}: {
  title: string;
  name: string;
  onClose: () => void;
  onName: (name: string) => void;
}) {
  const [typed, setTyped] = useState(name);
  const trimmed = typed.trim();
  return (
    <Dialog open onClose={onClose} title={title}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (!trimmed) return;
          onName(trimmed);
          onClose();
        }}
      >
        <TextField
          label="Name"
          value={typed}
          maxLength={200}
          autoFocus
          error={trimmed ? undefined : 'A colourway needs a name.'}
          onChange={({ target }) => setTyped(target.value)}
        />
        <div className="mt-3 flex justify-end">
          <Button weight="strong" type="submit" disabled={!trimmed}>
            Keep
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
