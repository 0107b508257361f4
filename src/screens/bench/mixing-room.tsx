'use client';

import { useState } from 'react';
import { oklabFromHex, hexFromOklab } from '@/core/colour/hex';
import { inGamut } from '@/core/colour/gamut';
import { colourName } from '@/core/colour/name';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { brokenOver } from '@/core/mixing/broken-colour';
import { oklabOf } from '@/core/mixing/observer';
import { filmOver, massTone, mixed } from '@/core/mixing/paint';
import { smoothReflectance } from '@/core/mixing/smooth-reflectance';
import { MAX_RECIPE_TUBES } from '@/core/mixing/recipes';
import { CautionLines } from '@/materials/caution-lines';
import { recipeWords } from '@/core/mixing/recipe-words';
import { newId } from '@/study/edits';
import { addTry, mixingTubes, removeTry } from '@/study/shelf';
import { Button } from '@/ui/button';
import { ColourDetails } from '@/ui/colour-details';
import { offerUndo } from '@/ui/notices';
import { Finding, Fold, Section } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import { valueWords } from '@/ui/words';
import { readPile, writePile, type PilePart } from './bench-view';
import type { Heap } from './heap';
import { FilmSettings, DEFAULT_FILM, type Film } from './film-settings';
import { OnePartMore } from './one-part-more';
import { PileParts } from './pile-parts';
import type { TabProps } from './tab-props';
import { WhatMadeThis } from './what-made-this';

/** Any tubes together, thick or thin, over any ground: what comes of it, at once. */
export function MixingRoom({ shelf, store, view, look }: TabProps) {
  const { scale } = useSettings().settings;
  const [film, setFilm] = useState<Film>(DEFAULT_FILM);
  const tubes = mixingTubes(shelf);
  const heaps = readPile(view.mix).flatMap(({ tube, parts }): Heap[] => {
    const found = tubes.find(({ id }) => id === tube);
    return found ? [{ tube: found, parts }] : [];
  });
  const setPile = (pile: readonly PilePart[]) =>
    look({ mix: writePile(pile.slice(0, MAX_RECIPE_TUBES)) });
  const used = heaps.filter(({ parts }) => parts > 0);
  const colour = used.length > 0 ? colourOf(used, film) : null;

  const keep = (made: Oklab) => {
    const id = newId();
    const parts = used.map(({ tube, parts: amount }) => ({ tube: tube.id, parts: amount }));
    const { change } = store.getState();
    change((was) =>
      addTry(was, {
        id,
        triedAt: new Date().toISOString(),
        name: colourName(made),
        parts,
        target: made,
        result: null,
        note: '',
      }),
    );
    offerUndo('Kept among the mixtures.', () => change((was) => removeTry(was, id)));
  };

  if (tubes.length === 0)
    return (
      <div className="px-4 py-4 sm:px-6">
        <Finding>Nothing to mix with yet: the shelf is empty.</Finding>
        <Button weight="strong" onClick={() => look({ tab: 'shelf' })}>
          Put tubes on the shelf
        </Button>
      </div>
    );
  return (
    <div className="mx-auto grid max-w-[100rem] gap-x-8 gap-y-4 px-4 py-4 sm:px-6 md:grid-cols-[minmax(0,1fr)_23rem]">
      <div className="min-w-0">
        <Finding>
          {colour
            ? `It comes to a ${colourName(colour)}, value ${valueWords(valueOfOklab(colour), scale)}${inGamut(colour) ? '' : ', stronger than a screen can show'}.`
            : 'Take up two to four tubes and move their parts.'}
        </Finding>
        {colour && <Chip colour={colour} ground={film.ground} />}
        <PileParts tubes={tubes} shelf={shelf} heaps={heaps} onChange={setPile} />
        {colour && (
          <div className="mt-3 flex flex-wrap items-center justify-between gap-3">
            <p className="text-[15px]">
              {recipeWords(used.map(({ tube, parts }) => ({ name: tube.name, parts })))}
            </p>
            <Button weight="strong" onClick={() => keep(colour)}>
              Keep this mixture
            </Button>
          </div>
        )}
      </div>
      <div className="min-w-0">
        <FilmSettings film={film} onChange={setFilm} />
        {used.length > 0 && colour && (
          <>
            <OnePartMore heaps={used} colourOf={(some) => colourOf(some, film)} />
            <Fold title="Figures">
              <ColourDetails colour={colour} />
            </Fold>
          </>
        )}
        <Section title="What made this?">
          <WhatMadeThis shelf={shelf} onTake={setPile} />
        </Section>
        <CautionLines pigments={used.flatMap(({ tube }) => tube.pigments)} studio />
      </div>
    </div>
  );
}

/** What the pile looks like as it is laid on. */
function colourOf(heaps: readonly Heap[], { kind, coat, ground, showing }: Film): Oklab {
  const optics = mixed(heaps.map(({ tube, parts }) => ({ optics: tube.optics, parts })));
  const below = smoothReflectance(oklabFromHex(ground)!);
  const paint = kind === 'thick' ? massTone(optics) : filmOver(optics, coat, below);
  return oklabOf(brokenOver(paint, below, showing));
}

/** The mixture on its ground. */
function Chip({ colour, ground }: { colour: Oklab; ground: string }) {
  return (
    <div
      role="img"
      aria-label={`The mixture, ${hexFromOklab(colour)}, on its ground`}
      data-testid="mixture"
      data-colour={hexFromOklab(colour)}
      className="mb-3 h-36 border p-5"
      style={{ background: ground }}
    >
      <div className="h-full w-full" style={{ background: hexFromOklab(colour) }} />
    </div>
  );
}
