'use client';

import { Finding } from '@/ui/panel-parts';
import { useDesk, useDeskStore } from '../../desk-store';
import { MixLimits } from './mix-limits';
import { reachSentence } from './reach-sentence';
import { SwatchRecipes } from './swatch-recipes';
import type { MixTabProps } from './use-mix';

/** Each colour beside its mixture, with its recipe. */
export function RecipesTab({ mix, shelf, store }: MixTabProps) {
  const { onPalette, tubes, swatches, recipes, isStale } = mix;
  const selected = useDesk((state) => state.selected);
  const { set } = useDeskStore().getState();
  const named = swatches.map(({ name }, i) => ({ name, recipes: recipes?.[i] ?? [] }));
  return (
    <>
      <Finding stale={isStale || !recipes}>
        {swatches.length === 0
          ? 'No colours to mix yet: extract some, or pick them.'
          : tubes.length === 0
            ? 'Every tube of the palette is left out.'
            : recipes
              ? reachSentence(named, tubes.length)
              : 'Mixing …'}
      </Finding>
      <MixLimits tubes={onPalette} />
      <ul aria-label="Recipes" className="border-t border-ink">
        {swatches.map((swatch, i) => (
          <SwatchRecipes
            key={swatch.id}
            swatch={swatch}
            recipes={recipes?.[i] ?? null}
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
