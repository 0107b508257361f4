'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { swatchRecipeWords } from '@/core/mixing/swatch-recipe';
import type { TraySwatch } from '@/contracts/study';
import { keepRecipes } from '@/study/recipe-edits';
import { Button } from '@/ui/button';
import { missWords } from '@/ui/miss-words';
import { useSettings } from '@/ui/settings';
import { usePaletteHost } from './host';

/** The recipe that goes along with a swatch: whose tubes, and how what comes of it misses the colour as it is now. */
export function KeptRecipe({ swatch }: { swatch: TraySwatch }) {
  const { scale } = useSettings().settings;
  const host = usePaletteHost();
  const { recipe } = swatch;
  if (!recipe) return null;
  return (
    <section aria-label="Its recipe" className="flex items-start gap-2 text-[15px]">
      <span aria-hidden className="flex shrink-0">
        <span className="block h-10 w-5" style={{ background: hexFromOklab(swatch.colour) }} />
        <span className="block h-10 w-5" style={{ background: hexFromOklab(recipe.colour) }} />
      </span>
      <p className="min-w-0 grow leading-snug break-words">
        {swatchRecipeWords(recipe)}
        <span className="block text-sm text-soft">
          {recipe.tried ? 'It came ' : 'Foretold '}
          {missWords(swatch.colour, recipe.colour, scale)}
        </span>
      </p>
      <Button
        aria-label={`Forget the recipe of ${swatch.name}`}
        onClick={() =>
          host.change((document) => keepRecipes(document, new Map([[swatch.id, null]])))
        }
      >
        Forget
      </Button>
    </section>
  );
}
