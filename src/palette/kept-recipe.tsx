'use client';

import type { ReactNode } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { mediumRecipeWords } from '@/core/mixing/medium-recipe';
import { swatchRecipeWords } from '@/core/mixing/swatch-recipe';
import type { TraySwatch } from '@/contracts/study';
import { forgetMediumRecipe, keepRecipes } from '@/study/recipe-edits';
import { Button } from '@/ui/button';
import { missWords } from '@/ui/miss-words';
import { useSettings } from '@/ui/settings';
import { usePaletteHost } from './host';

/** The recipes that go along with a swatch, paint first: whose, and how what comes of each misses the colour as it is now. */
export function KeptRecipe({ swatch }: { swatch: TraySwatch }) {
  const host = usePaletteHost();
  const { recipe, mediumRecipes } = swatch;
  if (!recipe && mediumRecipes.length === 0) return null;
  return (
    <section aria-label="Its recipe" className="flex flex-col gap-2">
      {recipe && (
        <OneRecipe
          swatch={swatch}
          {...recipe}
          forget={`Forget the recipe of ${swatch.name}`}
          onForget={() =>
            host.change((document) => keepRecipes(document, new Map([[swatch.id, null]])))
          }
        >
          {swatchRecipeWords(recipe)}
        </OneRecipe>
      )}
      {mediumRecipes.map((one) => (
        <OneRecipe
          key={one.medium}
          swatch={swatch}
          {...one}
          forget={`Forget the ${one.medium} of ${swatch.name}`}
          onForget={() =>
            host.change((document) => forgetMediumRecipe(document, swatch.id, one.medium))
          }
        >
          {mediumRecipeWords(one)}
        </OneRecipe>
      ))}
    </section>
  );
}

interface Props {
  swatch: TraySwatch;
  colour: Oklab;
  tried: boolean;
  forget: string;
  onForget: () => void;
  children: ReactNode;
}

function OneRecipe({ swatch, colour, tried, forget, onForget, children }: Props) {
  const { scale } = useSettings().settings;
  return (
    <div className="flex items-start gap-2 text-[15px]">
      <span aria-hidden className="flex shrink-0">
        <span className="block h-10 w-5" style={{ background: hexFromOklab(swatch.colour) }} />
        <span className="block h-10 w-5" style={{ background: hexFromOklab(colour) }} />
      </span>
      <p className="min-w-0 grow leading-snug break-words">
        {children}
        <span className="block text-sm text-soft">
          {tried ? 'It came ' : 'Foretold '}
          {missWords(swatch.colour, colour, scale)}
        </span>
      </p>
      <Button aria-label={forget} onClick={onForget}>
        Forget
      </Button>
    </div>
  );
}
