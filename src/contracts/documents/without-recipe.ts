import type { Stored } from './versioned';

/** A swatch of before there were recipes, and what it was merged from. */
export function withoutRecipe(swatch: Stored): Stored {
  const parts = (swatch.parts ?? []) as { at: number; swatch: Stored }[];
  return {
    ...swatch,
    recipe: null,
    mediumRecipes: [],
    parts: parts.map((part) => ({ ...part, swatch: withoutRecipe(part.swatch) })),
  };
}
