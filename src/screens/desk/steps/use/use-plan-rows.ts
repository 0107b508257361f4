'use client';

import type { Oklab } from '@/core/colour/oklab';
import { hexFromOklab } from '@/core/colour/hex';
import { layerWords, type MediumRecipe } from '@/core/mixing/medium-recipe';
import { recipeWords } from '@/core/mixing/recipe-words';
import type { ShelfContent } from '@/contracts/shelf';
import { inkSet } from '@/study/ink-set';
import { ofInks, ofPencils, ofSticks, ofWashes } from '@/study/medium-recipes';
import { paletteTubes } from '@/study/shelf';
import { useDocument } from '../../desk-store';
import { pencilQuery, stickQuery, washQuery, workerTube } from '../../media-queries';
import { useAnswer } from '../../use-answer';

/** Recipes of a plan take so many tubes at most: few enough to mix by a list. */
const MAX_TUBES = 3;
const ALL_INKS = { inks: '', paper: '' };

/** What to lay for each colour in the study's medium, from what is owned: lines, or null while they are looked for. */
export interface PlanLines {
  lines: string[][] | null;
  /** Whether there is nothing on the shelf to lay it with. */
  isEmpty: boolean;
}

export function usePlanLines(colours: readonly Oklab[] | null, shelf: ShelfContent): PlanLines {
  const medium = useDocument((document) => document.medium);
  const some = colours ?? [];
  const tubes = paletteTubes(shelf);
  const inks = inkSet(shelf, ALL_INKS);
  const paint = useAnswer<'recipes'>(
    medium === 'paint' && tubes.length > 0 && some.length > 0
      ? {
          kind: 'recipes',
          colours: [...some],
          tubes: tubes.map(workerTube),
          maxTubes: MAX_TUBES,
          black: false,
        }
      : null,
  );
  const sticks = useAnswer<'stickRecipes'>(medium === 'sticks' ? stickQuery(shelf, some) : null);
  const pencils = useAnswer<'pencilRecipes'>(
    medium === 'pencils' ? pencilQuery(shelf, some) : null,
  );
  const washes = useAnswer<'washRecipes'>(medium === 'washes' ? washQuery(shelf, some) : null);
  const printed = useAnswer<'separations'>(
    medium === 'inks' && inks && some.length > 0
      ? {
          kind: 'separations',
          colours: [...some],
          paper: inks.paper,
          inks: inks.inks,
          strengths: inks.strengths,
        }
      : null,
  );
  const linesOf = (recipe: MediumRecipe | null | undefined) => (recipe ? layerWords(recipe) : []);
  const found = (): { stale: boolean; lines: string[][] } | null => {
    switch (medium) {
      case 'paint': {
        const names = new Map(tubes.map(({ id, name }) => [id, name]));
        return (
          paint.value && {
            stale: paint.stale,
            lines: paint.value.map(([best]) =>
              best
                ? [
                    recipeWords(
                      best.parts.map(({ tube, parts }) => ({
                        name: names.get(tube) ?? '',
                        parts,
                      })),
                    ),
                  ]
                : [],
            ),
          }
        );
      }
      case 'sticks':
        return (
          sticks.value && {
            stale: sticks.stale,
            lines: sticks.value.map(([best]) => linesOf(best && ofSticks(shelf, best))),
          }
        );
      case 'pencils':
        return (
          pencils.value && {
            stale: pencils.stale,
            lines: pencils.value.map(([best]) => linesOf(best && ofPencils(shelf, best))),
          }
        );
      case 'washes':
        return (
          washes.value && {
            stale: washes.stale,
            lines: washes.value.map(([best]) => linesOf(best && ofWashes(shelf, best))),
          }
        );
      case 'inks':
        return (
          printed.value &&
          inks && {
            stale: printed.stale,
            lines: printed.value.colours.map((one) =>
              linesOf(
                ofInks(
                  shelf,
                  inks.items.map(({ id }) => id),
                  inks.paper,
                  one,
                ),
              ),
            ),
          }
        );
      case 'screen':
        return { stale: false, lines: some.map((colour) => [hexFromOklab(colour)]) };
    }
  };
  const isEmpty =
    ((medium === 'paint' || medium === 'washes') && tubes.length === 0) ||
    (medium === 'sticks' && stickQuery(shelf, some) === null && some.length > 0) ||
    (medium === 'pencils' && pencilQuery(shelf, some) === null && some.length > 0) ||
    (medium === 'inks' && !inks);
  const value = found();
  const isRight = value && !value.stale && value.lines.length === some.length;
  return { lines: isEmpty ? some.map(() => []) : isRight ? value.lines : null, isEmpty };
}
