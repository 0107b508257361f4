'use client';

import { useState } from 'react';
import { layerWords, type LayeredMedium, type MediumRecipe } from '@/core/mixing/medium-recipe';
import { formLayers } from '@/core/mixing/screen-layers';
import type { TraySwatch } from '@/contracts/study';
import { missWords } from '@/ui/miss-words';
import { useSettings } from '@/ui/settings';
import { OtherRecipe, PairRow } from '../mixture-rows';
import { LayeredDetails } from './layered-details';
import { useShownWhenOpen } from '../use-shown-when-open';
import type { MediumProps } from './medium-props';

interface Props extends MediumProps {
  medium: LayeredMedium;
  swatch: TraySwatch;
  /** Null while they are looked for; empty where nothing is to be laid. */
  recipes: readonly MediumRecipe[] | null;
  isOpen: boolean;
  onOpen: () => void;
}

/** A swatch beside what its layers come to; opened, the layers one by one and what else comes near. */
export function LayeredRow({ medium, swatch, recipes, shelf, store, isOpen, onOpen }: Props) {
  const { scale } = useSettings().settings;
  const [chosen, setChosen] = useState(0);
  const row = useShownWhenOpen(isOpen);
  const recipe = recipes?.[Math.min(chosen, recipes.length - 1)];
  const words = (one: MediumRecipe) => layerWords(one).join(one.medium === 'sticks' ? '; ' : ' · ');
  return (
    <li ref={row} className="border-b">
      <PairRow
        colour={swatch.colour}
        name={swatch.name}
        made={recipe?.colour ?? null}
        isOpen={isOpen}
        onOpen={onOpen}
      >
        {recipe?.medium === 'screen' ? (
          <span aria-hidden className="mt-1 flex">
            {formLayers(swatch.colour).map(({ part, comesTo }) => (
              <span key={part} className="block h-5 w-8" style={{ background: comesTo }} />
            ))}
          </span>
        ) : (
          <span className={`text-sm leading-snug ${isOpen ? 'block' : 'line-clamp-3'}`}>
            {recipe
              ? words(recipe)
              : recipes
                ? 'nothing: the paper itself comes nearest'
                : 'looking …'}
          </span>
        )}
        {recipe && medium !== 'screen' && (
          <span className="block text-sm leading-snug text-soft">
            {missWords(swatch.colour, recipe.colour, scale)}
          </span>
        )}
      </PairRow>
      {isOpen && recipe && recipes && (
        <div className="pb-3" data-testid="layers">
          <LayeredDetails
            key={chosen}
            swatch={swatch}
            recipe={recipe}
            shelf={shelf}
            store={store}
          />
          {recipes.length > 1 && (
            <ul aria-label={`What else comes near ${swatch.name}`} className="mt-2 border-t">
              {recipes.map(
                (other, i) =>
                  other !== recipe && (
                    <li key={i} className="border-b">
                      <OtherRecipe
                        colour={other.colour}
                        words={words(other)}
                        detail={missWords(swatch.colour, other.colour, scale)}
                        onChoose={() => setChosen(i)}
                      />
                    </li>
                  ),
              )}
            </ul>
          )}
        </div>
      )}
    </li>
  );
}
