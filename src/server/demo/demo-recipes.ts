import { findRecipes } from '@/core/mixing/recipes';
import type { ShelfContent } from '@/contracts/shelf';
import type { StudyDocument } from '@/contracts/study';
import { keepRecipes, swatchRecipe } from '@/study/recipe-edits';
import { paletteTubes } from '@/study/shelf';

/** A study with the best recipe of each colour from what lies on a shelf's palette. */
export function withRecipes(document: StudyDocument, shelf: ShelfContent): StudyDocument {
  const tubes = paletteTubes(shelf);
  return keepRecipes(
    document,
    new Map(
      document.palette.swatches.map(({ id, colour }) => {
        const [best] = findRecipes(colour, tubes);
        const parts = best.parts.map(({ tube, parts: amount }) => ({
          tube: tube.id,
          parts: amount,
        }));
        return [id, swatchRecipe(shelf, parts, best.colour, false)];
      }),
    ),
  );
}
