'use client';

import type { LayeredMedium, MediumRecipe } from '@/core/mixing/medium-recipe';
import type { TraySwatch } from '@/contracts/study';
import { keepMediumRecipes } from '@/study/recipe-edits';
import { Button } from '@/ui/button';
import { say } from '@/ui/notices';
import { useDesk, useDeskStore } from '../../../desk-store';
import { LayOut } from './lay-out';
import { LayeredRow } from './layered-row';
import type { MediumProps } from './medium-props';

interface Props extends MediumProps {
  medium: LayeredMedium;
  /** Said to those who can't see it: "Sticks for each colour". */
  label: string;
  swatches: readonly TraySwatch[];
  /** In the swatches' order, the best of each before others; null while they are looked for. */
  recipes: readonly (readonly MediumRecipe[])[] | null;
  isStale: boolean;
}

/** Each colour beside what its layers come to; opened, how they are laid; and sheets to print. */
export function LayeredList({ medium, label, swatches, recipes, isStale, shelf, store }: Props) {
  const selected = useDesk((state) => state.selected);
  const { set, change } = useDeskStore().getState();
  /** The first recipe of each, so that cards, sheets and pages have them. */
  const keepAll = () => {
    const kept = swatches.flatMap(({ id, mediumRecipes }, i) => {
      // What was really tried stays.
      const had = mediumRecipes.find((recipe) => recipe.medium === medium);
      const best = had?.tried ? undefined : recipes?.[i]?.[0];
      return best ? [[id, best] as const] : [];
    });
    change((was) => keepMediumRecipes(was, new Map(kept)));
    say('The recipes go along with the palette: in libraries, cards, sheets and pages.');
  };
  return (
    <>
      {recipes && swatches.length > 0 && (
        <div className="my-2">
          <Button disabled={isStale} onClick={keepAll}>
            Keep all with their swatches
          </Button>
        </div>
      )}
      <ul aria-label={label} className="mb-3 border-t border-ink">
        {swatches.map((swatch, i) => (
          <LayeredRow
            key={swatch.id}
            medium={medium}
            swatch={swatch}
            recipes={recipes?.[i] ?? null}
            shelf={shelf}
            store={store}
            isOpen={swatch.id === selected}
            onOpen={() => set({ selected: swatch.id === selected ? null : swatch.id })}
          />
        ))}
      </ul>
      {recipes && swatches.length > 0 && medium !== 'screen' && (
        <LayOut medium={medium} swatches={swatches} recipes={recipes} shelf={shelf} />
      )}
    </>
  );
}
