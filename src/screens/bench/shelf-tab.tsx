'use client';

import { newId } from '@/study/edits';
import {
  addSetOfTubes,
  addTubes,
  editTube,
  mixingTubes,
  putTubeBack,
  removeTube,
  tubeOfPigment,
} from '@/study/shelf';
import type { ShelfContent } from '@/contracts/shelf';
import { TUBE_STAVE_COLUMNS } from '@/materials/tube-stave';
import { TextField } from '@/ui/field';
import { offerUndo, showError } from '@/ui/notices';
import { Finding } from '@/ui/panel-parts';
import { Select } from '@/ui/select';
import { AddTubes } from './add-tubes';
import { TUBE_ORDERS } from './bench-view';
import { foundTubes, shelfSentence } from './shelf-order';
import { ShelfTableForm } from './shelf-table-form';
import type { TabProps } from './tab-props';
import { TubeBin } from './tube-bin';
import { TubeDetails } from './tube-details';
import { TUBE_GRID, TubeRow } from './tube-row';

/** The tubes that a painter has: found, put in order, added, put right and taken away. */
export function ShelfTab({ shelf, store, view, look }: TabProps) {
  const { change } = store.getState();
  const mixing = mixingTubes(shelf);
  const mixingOf = (id: string) => mixing.find((tube) => tube.id === id);
  const found = foundTubes(shelf.tubes, mixing, view.find, view.order);
  const open = shelf.tubes.find(({ id }) => id === view.tube);
  const openMixing = open && mixingOf(open.id);

  const add = (edit: (was: ShelfContent) => ShelfContent) => {
    try {
      change(edit);
    } catch (error) {
      showError(error);
    }
  };
  const addPigment = (pigment: string) => {
    const tube = tubeOfPigment(pigment, newId);
    add((was) => addTubes(was, [tube]));
    look({ tube: tube.id });
  };
  const putBack = (id: string) => add((was) => putTubeBack(was, id));
  const remove = (id: string, name: string) => {
    change((was) => removeTube(was, id));
    look({ tube: '' });
    offerUndo(`“${name}” is in the bin of the shelf.`, () => putBack(id));
  };
  return (
    <div className="mx-auto grid max-w-[100rem] gap-x-8 gap-y-4 px-4 py-4 sm:px-6 md:grid-cols-[minmax(0,1fr)_23rem]">
      <div className="min-w-0">
        <Finding>{shelfSentence(shelf.tubes)}</Finding>
        {shelf.tubes.length > 0 && (
          <div className="mb-1 flex flex-wrap items-center gap-2">
            <input
              type="search"
              aria-label="Find tubes"
              placeholder="Name, maker, number, pigment"
              value={view.find}
              maxLength={100}
              onChange={(event) => look({ find: event.target.value })}
              className="h-10 min-w-40 grow border border-line bg-sheet px-2.5 placeholder:text-soft"
            />
            <Select
              label="Put the tubes in order"
              value={view.order}
              options={TUBE_ORDERS.map((value) => ({ value, title: value }))}
              onChange={(order) => look({ order })}
            />
          </div>
        )}
        {shelf.tubes.length === 0 ? (
          <p className="text-[15px]">
            Put on it what you have: a set to begin with, or tube by tube. Recipes are made of what
            is on the palette.
          </p>
        ) : found.length === 0 ? (
          <p className="py-3 text-[15px]">No tube has these words.</p>
        ) : (
          <>
            <div aria-hidden className={`${TUBE_GRID} text-xs text-soft max-sm:hidden`}>
              <span />
              <span className="flex justify-between">
                {TUBE_STAVE_COLUMNS.map((title) => (
                  <span key={title} className="grow basis-0 truncate">
                    {title}
                  </span>
                ))}
              </span>
            </div>
            <ul className="border-t border-ink" aria-label="Tubes">
              {found.map((tube) => {
                const own = mixingOf(tube.id);
                return (
                  own && (
                    <TubeRow
                      key={tube.id}
                      tube={tube}
                      mixing={own}
                      isOpen={tube.id === view.tube}
                      onOpen={() => look({ tube: tube.id === view.tube ? '' : tube.id })}
                      onStanding={(standing) =>
                        change((was) => editTube(was, tube.id, { standing }))
                      }
                    />
                  )
                );
              })}
            </ul>
          </>
        )}
      </div>
      <div className="min-w-0">
        {open && openMixing && (
          <TubeDetails
            key={open.id}
            tube={open}
            mixing={openMixing}
            onChange={(part) =>
              change(
                (was) => editTube(was, open.id, part),
                `${Object.keys(part).join()} ${open.id}`,
              )
            }
            onRemove={() => remove(open.id, open.name)}
          />
        )}
        <AddTubes
          isBegun={shelf.tubes.length > 0}
          onAddPigment={addPigment}
          onAddSet={(id) => add((was) => addSetOfTubes(was, id, newId))}
        />
        <ShelfTableForm shelf={shelf} store={store} />
        <TubeBin tubes={shelf.bin} onPutBack={putBack} />
        <TextField
          label="Whose tubes these are: recipes say it where they go"
          value={shelf.owner}
          maxLength={120}
          onChange={(event) => {
            const owner = event.target.value;
            change((was) => ({ ...was, owner }), 'owner');
          }}
        />
      </div>
    </div>
  );
}
