'use client';

import { useQuery } from '@tanstack/react-query';
import Link from 'next/link';
import { useStore } from 'zustand';
import { valueOfOklab } from '@/core/colour/value';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Shelf } from '@/contracts/shelf';
import { useShelf } from '@/materials/use-shelf';
import { mixingTubes } from '@/study/shelf';
import { Finding } from '@/ui/panel-parts';
import { queryFor } from '@/ui/queries';
import { useDesk, useDeskStore, useDocument, useStepView } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { MixLimits } from './mix-limits';
import { mixView } from './mix-view';
import { reachSentence } from './reach-sentence';
import { SwatchRecipes } from './swatch-recipes';

/** How each colour of the palette is mixed from what lies on the painter's own. */
export function MixPanel() {
  const { data: shelf } = useQuery(queryFor(endpoints.getShelf, {}));
  return shelf ? <MixFromShelf shelf={shelf} /> : <Finding stale>Fetching your tubes …</Finding>;
}

function MixFromShelf({ shelf: opened }: { shelf: Shelf }) {
  const store = useShelf(opened);
  const shelf = useStore(store, ({ history }) => history.present);
  const [{ most, black, cadmiumFree, without }] = useStepView(mixView);
  const swatches = useDocument((document) => document.palette.swatches);
  const selected = useDesk((state) => state.selected);
  const { set } = useDeskStore().getState();
  const onPalette = mixingTubes(shelf).filter((tube) =>
    shelf.tubes.some(({ id, standing }) => id === tube.id && standing === 'palette'),
  );
  const tubes = onPalette.filter(
    ({ id, pigments }) =>
      !without.includes(id) &&
      !(cadmiumFree && pigments.some(({ metals }) => metals?.includes('cadmium'))),
  );
  const ordered = swatches.toSorted(
    (one, other) => valueOfOklab(other.colour) - valueOfOklab(one.colour),
  );
  const { value, stale } = useAnswer(
    tubes.length > 0 && ordered.length > 0
      ? {
          kind: 'recipes',
          colours: ordered.map(({ colour }) => colour),
          tubes: tubes.map(({ id, pigments, strength }) => ({
            id,
            pigments: pigments.map((pigment) => pigment.id),
            strength,
          })),
          maxTubes: Number(most),
          black,
        }
      : null,
  );
  if (onPalette.length === 0)
    return (
      <>
        <Finding>No tube lies on your palette yet.</Finding>
        <Link
          href="/bench"
          className="inline-flex min-h-10 items-center border border-ink bg-ink px-3 font-semibold text-sheet"
        >
          Put tubes on it, at the Bench
        </Link>
      </>
    );
  const named = ordered.map(({ name }, i) => ({ name, recipes: value?.[i] ?? [] }));
  const isThere = value !== null && value.length === ordered.length;
  return (
    <>
      <Finding stale={stale || !isThere}>
        {ordered.length === 0
          ? 'No colours to mix yet: extract some, or pick them.'
          : tubes.length === 0
            ? 'Every tube of the palette is left out.'
            : isThere
              ? reachSentence(named, tubes.length)
              : 'Mixing …'}
      </Finding>
      <MixLimits tubes={onPalette} />
      <ul aria-label="Recipes" className="border-t border-ink">
        {ordered.map((swatch, i) => (
          <SwatchRecipes
            key={swatch.id}
            swatch={swatch}
            recipes={value?.[i] ?? null}
            tubes={tubes}
            shelf={shelf}
            store={store}
            isOpen={swatch.id === selected}
            onOpen={() => set({ selected: swatch.id === selected ? null : swatch.id })}
          />
        ))}
      </ul>
    </>
  );
}
