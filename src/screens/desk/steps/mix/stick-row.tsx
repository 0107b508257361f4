'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { StickRecipe } from '@/core/mixing/sticks';
import type { TraySwatch } from '@/contracts/study';
import { missWords } from '@/ui/miss-words';
import { useSettings } from '@/ui/settings';

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
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
        className="flex min-h-14 w-full items-center gap-3 py-1.5 text-left hover:bg-faint"
      >
        <span aria-hidden className="flex shrink-0">
          <span className="block h-11 w-11" style={{ background: hexFromOklab(swatch.colour) }} />
          <span
            className="block h-11 w-11"
            style={{ background: recipe ? hexFromOklab(recipe.colour) : undefined }}
          />
        </span>
        <span className="min-w-0">
          <span className={`block truncate text-[15px] ${isOpen ? 'font-semibold' : ''}`}>
            {swatch.name}
          </span>
          <span className="block text-sm leading-snug">{recipe ? words(recipe) : 'looking …'}</span>
          {recipe && (
            <span className="block text-sm leading-snug text-soft">
              {missWords(swatch.colour, recipe.colour, scale)}
            </span>
          )}
        </span>
      </button>
      {isOpen && recipes && (
        <ul aria-label={`What else comes near ${swatch.name}`} className="pb-2 pl-6">
          {recipes.map(
            (other, i) =>
              other !== recipe && (
                <li key={i}>
                  <button
                    type="button"
                    onClick={() => setChosen(i)}
                    className="flex min-h-10 w-full items-center gap-3 py-1 text-left hover:bg-faint"
                  >
                    <span
                      aria-hidden
                      className="block h-8 w-8 shrink-0"
                      style={{ background: hexFromOklab(other.colour) }}
                    />
                    <span className="min-w-0 text-sm leading-snug">
                      {words(other)}
                      <span className="block text-soft">
                        {missWords(swatch.colour, other.colour, scale)}
                      </span>
                    </span>
                  </button>
                </li>
              ),
          )}
        </ul>
      )}
    </li>
  );
}
