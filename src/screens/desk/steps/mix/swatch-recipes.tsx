'use client';

import { useState } from 'react';
import type { RecipeAnswer } from '@/contracts/desk-query/mix-queries';
import type { ShelfContent } from '@/contracts/shelf';
import type { TraySwatch } from '@/contracts/study';
import type { ShelfStore } from '@/materials/use-shelf';
import { recipeWords } from '@/core/mixing/recipe-words';
import { missWords } from '@/ui/miss-words';
import type { MixingTube } from '@/study/shelf';
import { useSettings } from '@/ui/settings';
import { PairRow } from './mixture-rows';
import { RecipeDetails } from './recipe-details';
import { useShownWhenOpen } from './use-shown-when-open';

interface Props {
  swatch: TraySwatch;
  /** Null while they are being mixed. */
  recipes: readonly RecipeAnswer[] | null;
  tubes: readonly MixingTube[];
  shelf: ShelfContent;
  store: ShelfStore;
  isOpen: boolean;
  onOpen: () => void;
}

/** A swatch beside its mixture; opened, how it is mixed and by which other routes. */
export function SwatchRecipes({ swatch, recipes, tubes, shelf, store, isOpen, onOpen }: Props) {
  const { scale } = useSettings().settings;
  const [chosen, setChosen] = useState(0);
  const row = useShownWhenOpen(isOpen);
  const nameOf = (id: string) => tubes.find((tube) => tube.id === id)?.name ?? '';
  const named = (recipe: RecipeAnswer) =>
    recipeWords(recipe.parts.map(({ tube, parts }) => ({ name: nameOf(tube), parts })));
  const recipe = recipes?.[Math.min(chosen, recipes.length - 1)];
  return (
    <li ref={row} className="border-b">
      <PairRow
        colour={swatch.colour}
        name={swatch.name}
        made={recipe?.colour ?? null}
        isOpen={isOpen}
        onOpen={onOpen}
      >
        <span className="line-clamp-2 text-sm leading-snug">
          {recipe ? named(recipe) : 'mixing …'}
        </span>
        {recipe && (
          <span className="block text-sm leading-snug text-soft">
            {missWords(swatch.colour, recipe.colour, scale)}
          </span>
        )}
      </PairRow>
      {isOpen && recipe && recipes && (
        <RecipeDetails
          swatch={swatch}
          recipes={recipes}
          chosen={Math.min(chosen, recipes.length - 1)}
          onChoose={setChosen}
          tubes={tubes}
          shelf={shelf}
          store={store}
          named={named}
        />
      )}
    </li>
  );
}
