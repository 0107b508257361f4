import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { separated } from '@/core/mixing/inks';
import type { LayeredMedium, MediumRecipe } from '@/core/mixing/medium-recipe';
import { pencilOf } from '@/core/mixing/pencil-optics';
import { pencilRecipes } from '@/core/mixing/pencil-recipes';
import { findRecipes } from '@/core/mixing/recipes';
import { stickRecipes } from '@/core/mixing/sticks';
import type { ShelfContent } from '@/contracts/shelf';
import type { StudyDocument } from '@/contracts/study';
import { burnishing, isBlackPencil } from '@/study/layer-source';
import { ofInks, ofPencils, ofSticks } from '@/study/medium-recipes';
import { keepMediumRecipes, keepRecipes, swatchRecipe } from '@/study/recipe-edits';
import { paletteTubes } from '@/study/shelf';
import { itemsHere } from '@/study/shelf-items';

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

/** What somebody works from in a medium, with the best layers for each colour from what of it lies on a shelf. */
export function withLayers(
  document: StudyDocument,
  shelf: ShelfContent,
  medium: LayeredMedium,
  owner: string,
): StudyDocument {
  const own = { ...shelf, owner };
  const recipeOf = layersIn(own, medium);
  const found = document.palette.swatches.flatMap(({ id, colour }) => {
    const recipe = recipeOf(colour);
    return recipe ? [[id, recipe] as const] : [];
  });
  return keepMediumRecipes({ ...document, medium }, new Map(found));
}

function layersIn(
  shelf: ShelfContent,
  medium: LayeredMedium,
): (colour: Oklab) => MediumRecipe | null {
  switch (medium) {
    case 'sticks': {
      const sticks = itemsHere(shelf, 'sticks');
      return (colour) => ofSticks(shelf, stickRecipes(colour, sticks, 1)[0]);
    }
    case 'pencils': {
      const here = itemsHere(shelf, 'pencils');
      const pencils = here.map(({ id, colour }) => pencilOf(id, colour));
      const white = burnishing(here);
      const blacks = new Set(here.filter(isBlackPencil).map(({ id }) => id));
      return (colour) => {
        const [best] = pencilRecipes(colour, pencils, {
          count: 1,
          isBlack: ({ id }) => blacks.has(id),
          white: pencils.find(({ id }) => id === white?.id) ?? null,
        });
        const layers = best.layers.map(({ pencil, pressure }) => ({ pencil: pencil.id, pressure }));
        return ofPencils(shelf, { ...best, layers, burnish: best.burnish?.id ?? null });
      };
    }
    case 'inks': {
      const inks = itemsHere(shelf, 'inks').slice(0, 3);
      const set = { paper: oklabFromHex('#f4efe3')!, inks: inks.map(({ colour }) => colour) };
      const ids = inks.map(({ id }) => id);
      return (colour) => ofInks(shelf, ids, set.paper, separated(set, colour));
    }
    case 'washes':
    case 'screen':
      return () => null;
  }
}
