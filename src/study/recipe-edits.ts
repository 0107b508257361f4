import type { Oklab } from '@/core/colour/oklab';
import {
  withMediumRecipe,
  type LayeredMedium,
  type MediumRecipe,
} from '@/core/mixing/medium-recipe';
import type { SwatchRecipe } from '@/core/mixing/swatch-recipe';
import type { ShelfContent } from '@/contracts/shelf';
import { withSwatches, type HasPalette } from './has-palette';

/** Keeps recipes with swatches, by the swatches' ids; null takes one's recipe away. */
export function keepRecipes<D extends HasPalette>(
  document: D,
  recipes: ReadonlyMap<string, SwatchRecipe | null>,
): D {
  return withSwatches(
    document,
    document.palette.swatches.map((swatch) => {
      const recipe = recipes.get(swatch.id);
      return recipe === undefined ? swatch : { ...swatch, recipe };
    }),
  );
}

/** Keeps recipes of layers with swatches, by the swatches' ids; those of other media stay. */
export function keepMediumRecipes<D extends HasPalette>(
  document: D,
  recipes: ReadonlyMap<string, MediumRecipe>,
): D {
  return withSwatches(
    document,
    document.palette.swatches.map((swatch) => {
      const recipe = recipes.get(swatch.id);
      return recipe
        ? { ...swatch, mediumRecipes: withMediumRecipe(swatch.mediumRecipes, recipe) }
        : swatch;
    }),
  );
}

/** Takes a swatch's recipe of one medium away. */
export function forgetMediumRecipe<D extends HasPalette>(
  document: D,
  id: string,
  medium: LayeredMedium,
): D {
  return withSwatches(
    document,
    document.palette.swatches.map((swatch) =>
      swatch.id === id
        ? {
            ...swatch,
            mediumRecipes: swatch.mediumRecipes.filter((recipe) => recipe.medium !== medium),
          }
        : swatch,
    ),
  );
}

/** A mixture of a shelf's tubes as it goes along with a swatch; null where a tube isn't on the shelf any more. */
export function swatchRecipe(
  { owner, tubes }: ShelfContent,
  parts: readonly { tube: string; parts: number }[],
  colour: Oklab,
  tried: boolean,
): SwatchRecipe | null {
  const named = parts.flatMap(({ tube, parts: amount }) => {
    const found = tubes.find(({ id }) => id === tube);
    return found ? [{ name: found.name, pigments: found.pigments, parts: amount }] : [];
  });
  return named.length === parts.length ? { owner, parts: named, colour, tried } : null;
}
