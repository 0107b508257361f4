'use client';

import { format } from 'date-fns';
import { hexFromOklab } from '@/core/colour/hex';
import type { ShelfTry } from '@/contracts/shelf';
import { recipeWords } from '@/core/mixing/recipe-words';
import { TriedForm } from '@/materials/tried-form';
import { TryOutcome } from '@/materials/try-outcome';
import { editTry, mixingTubes, removeTry } from '@/study/shelf';
import { mixColour } from '@/core/mixing/mix-lab';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { offerUndo } from '@/ui/notices';
import { Finding } from '@/ui/panel-parts';
import { capital, several } from '@/ui/words';
import type { TabProps } from './tab-props';

/** Mixtures that were kept and those that were really made, the newest first; what was made corrects the tubes. */
export function TriesTab({ shelf, store, look }: TabProps) {
  const { change } = store.getState();
  const [trying, setTrying] = useState<string | null>(null);
  const tubes = mixingTubes(shelf);
  const nameOf = (id: string) =>
    shelf.tubes.find((tube) => tube.id === id)?.name ?? 'a tube that is gone';
  const tried = shelf.tries.filter(({ result }) => result !== null).length;
  const remove = (one: ShelfTry) => {
    change((was) => removeTry(was, one.id));
    offerUndo(`“${one.name}” was taken away.`, () =>
      change((was) => ({ ...was, tries: [one, ...was.tries] })),
    );
  };
  const foretold = (one: ShelfTry) => {
    const parts = one.parts.flatMap(({ tube, parts: amount }) => {
      const found = tubes.find(({ id }) => id === tube);
      return found ? [{ optics: found.optics, amount }] : [];
    });
    return parts.length === one.parts.length
      ? mixColour(
          parts.map(({ optics }) => optics),
          parts.map(({ amount }) => amount),
        )
      : null;
  };
  return (
    <div className="mx-auto max-w-[80rem] px-4 py-4 sm:px-6">
      <Finding>
        {shelf.tries.length === 0
          ? 'No mixture is kept yet: the mixing room and the step Mix keep them.'
          : `${capital(several(shelf.tries.length, 'mixture'))} kept, ${several(tried, 'of them tried', 'of them tried')}.`}
      </Finding>
      {shelf.tries.length > 0 && (
        <p className="text-xs text-soft">
          The blocks, from the left: what it was for, what is foretold, the dab.
        </p>
      )}
      <ul className="border-t border-ink" aria-label="Mixtures">
        {shelf.tries.map((one) => {
          const made = foretold(one);
          return (
            <li key={one.id} className="border-b py-2">
              <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
                <span aria-hidden className="flex shrink-0">
                  {[one.target, made, one.result].map(
                    (colour, i) =>
                      colour && (
                        <span
                          key={i}
                          className="block h-12 w-12"
                          style={{ background: hexFromOklab(colour) }}
                        />
                      ),
                  )}
                </span>
                <div className="min-w-48 grow basis-0">
                  <p className="font-serif text-lg leading-tight">{one.name}</p>
                  <p className="text-[15px] leading-snug">
                    {recipeWords(
                      one.parts.map(({ tube, parts }) => ({ name: nameOf(tube), parts })),
                    )}
                  </p>
                  <TryOutcome shelf={shelf} made={one} />
                  {one.note && <p className="text-sm text-soft italic">{one.note}</p>}
                </div>
                <span className="text-sm text-soft">{format(new Date(one.triedAt), 'd MMM')}</span>
                <div className="flex flex-wrap gap-1">
                  <Button
                    aria-label={`Into the mixing room: ${one.name}`}
                    onClick={() =>
                      look({
                        tab: 'mixing',
                        mix: one.parts.map(({ tube, parts }) => `${tube}:${parts}`).join(),
                      })
                    }
                  >
                    Mix
                  </Button>
                  <Button
                    aria-expanded={trying === one.id}
                    aria-label={`Tried it: ${one.name}`}
                    onClick={() => setTrying(trying === one.id ? null : one.id)}
                  >
                    Tried it
                  </Button>
                  <Button
                    weight="quiet"
                    className="underline"
                    aria-label={`Take away ${one.name}`}
                    onClick={() => remove(one)}
                  >
                    Take away
                  </Button>
                </div>
              </div>
              {trying === one.id && (
                <TriedForm
                  parts={one.parts}
                  nameOf={nameOf}
                  start={one.result ?? made}
                  note={one.note}
                  onTried={(part) => {
                    change((was) => editTry(was, one.id, part));
                    setTrying(null);
                  }}
                />
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
