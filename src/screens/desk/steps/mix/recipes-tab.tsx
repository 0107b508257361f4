'use client';

import { keepRecipes, swatchRecipe } from '@/study/recipe-edits';
import { Button } from '@/ui/button';
import { say } from '@/ui/notices';
import { Finding } from '@/ui/panel-parts';
import { capital, count, several } from '@/ui/words';
import { useDesk, useDeskStore } from '../../desk-store';
import { MixLimits } from './mix-limits';
import { reachSentence } from './reach-sentence';
import { SwatchRecipes } from './swatch-recipes';
import type { MixTabProps } from './use-mix';

/** Each colour beside its mixture, with its recipe. */
export function RecipesTab({ mix, shelf, store }: MixTabProps) {
  const { onPalette, tubes, swatches, ready, recipes, isStale } = mix;
  const selected = useDesk((state) => state.selected);
  const { set, change } = useDeskStore().getState();
  const named = swatches.map(({ name }, i) => ({ name, recipes: recipes?.[i] ?? [] }));
  /** The first recipe of each, so that cards, sheets and pages have them. */
  const keepAll = () => {
    const kept = swatches.flatMap(({ id, recipe: had }, i) => {
      // What was really tried stays.
      const recipe = had?.tried ? undefined : recipes?.[i]?.[0];
      const own = recipe && swatchRecipe(shelf, recipe.parts, recipe.colour, false);
      return own ? [[id, own] as const] : [];
    });
    change((was) => keepRecipes(was, new Map(kept)));
    say('The recipes go along with the palette: in libraries, cards, sheets and pages.');
  };
  return (
    <>
      <Finding stale={isStale || !recipes}>
        {swatches.length === 0
          ? 'No colours to mix yet: extract some, or pick them.'
          : tubes.length === 0
            ? 'Every tube of the palette is left out.'
            : recipes
              ? reachSentence(named, tubes.length)
              : `${capital(count(ready.length))} of ${several(swatches.length, 'colour')} mixed …`}
      </Finding>
      <MixLimits tubes={onPalette} />
      {recipes && swatches.length > 0 && (
        <div className="my-2">
          <Button disabled={isStale} onClick={keepAll}>
            Keep all with their swatches
          </Button>
        </div>
      )}
      <ul aria-label="Recipes" className="border-t border-ink">
        {swatches.map((swatch, i) => (
          <SwatchRecipes
            key={swatch.id}
            swatch={swatch}
            recipes={ready[i] ?? null}
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
