'use client';

import { useState } from 'react';
import type { StickRecipe } from '@/core/mixing/sticks';
import type { TraySwatch } from '@/contracts/study';
import { missWords } from '@/ui/miss-words';
import { useSettings } from '@/ui/settings';
import { OtherRecipe, PairRow } from './mixture-rows';

interface Props {
  swatch: TraySwatch;
  /** Null while they are looked for. */
  recipes: readonly StickRecipe[] | null;
  nameOf: (stick: string) => string;
}

/** A swatch beside the stick, or the two, that come nearest; opened, what else comes near. */
export function StickRow({ swatch, recipes, nameOf }: Props) {
  const { scale } = useSettings().settings;
  const [isOpen, setOpen] = useState(false);
  const [chosen, setChosen] = useState(0);
  const recipe = recipes?.[Math.min(chosen, recipes.length - 1)];
  const words = ({ stick, over }: StickRecipe) =>
    over
      ? `${nameOf(stick.id)}; ${nameOf(over.stick.id)} lightly over it, ${Math.round(over.showing * 100)} % showing`
      : nameOf(stick.id);
  return (
    <li className="border-b">
      <PairRow
        colour={swatch.colour}
        name={swatch.name}
        made={recipe?.colour ?? null}
        isOpen={isOpen}
        onOpen={() => setOpen(!isOpen)}
      >
        <span className="block text-sm leading-snug">{recipe ? words(recipe) : 'looking …'}</span>
        {recipe && (
          <span className="block text-sm leading-snug text-soft">
            {missWords(swatch.colour, recipe.colour, scale)}
          </span>
        )}
      </PairRow>
      {isOpen && recipes && (
        <ul aria-label={`What else comes near ${swatch.name}`} className="pb-2 pl-6">
          {recipes.map(
            (other, i) =>
              other !== recipe && (
                <li key={i}>
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
    </li>
  );
}
