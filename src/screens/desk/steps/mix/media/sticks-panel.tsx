'use client';

import { stickCost, type StickRecipe } from '@/core/mixing/sticks';
import { ofSticks } from '@/study/medium-recipes';
import { itemsHere } from '@/study/shelf-items';
import { capital, count, several } from '@/ui/words';
import { stickQuery } from '../../../media-queries';
import { useAnswer } from '../../../use-answer';
import { LayeredFinding } from './layered-finding';
import { LayeredList } from './layered-list';
import type { MediumProps } from './medium-props';
import { NothingHere } from './nothing-here';
import { StickStages } from './stick-stages';
import { Underpainting } from './underpainting';
import { useLightFirst } from './use-light-first';

/** A colour that costs more than this is another one: half a value step, or as much beside it. */
const NEAR = 0.5;

/** Each colour beside the stick that comes nearest, alone or lightly laid over, and what to lay out for the day. */
export function SticksPanel({ shelf, store }: MediumProps) {
  const here = itemsHere(shelf, 'sticks');
  const swatches = useLightFirst();
  const { value, stale } = useAnswer<'stickRecipes'>(
    stickQuery(
      shelf,
      swatches.map(({ colour }) => colour),
    ),
  );
  if (here.length === 0) return <NothingHere kind="sticks" />;
  const found = value?.length === swatches.length ? value : null;
  const recipes = found?.map((some) => some.map((one) => ofSticks(shelf, one))) ?? null;
  return (
    <>
      <LayeredFinding
        swatches={swatches}
        found={found && nearSentence(found, swatches, here.length)}
        seeking="Holding your sticks against the palette …"
        isStale={stale}
      />
      <LayeredList
        medium="sticks"
        label="Sticks for each colour"
        swatches={swatches}
        recipes={recipes}
        isStale={stale}
        shelf={shelf}
        store={store}
      />
      <Underpainting shelf={shelf} medium="sticks" />
      {found && swatches.length > 0 && (
        <StickStages swatches={swatches} recipes={found} sticks={here} />
      )}
    </>
  );
}

function nearSentence(
  recipes: readonly (readonly StickRecipe[])[],
  swatches: readonly { colour: StickRecipe['colour'] }[],
  sticks: number,
): string {
  const near = recipes.filter(
    ([best], i) => stickCost(swatches[i].colour, best.colour) <= NEAR,
  ).length;
  const alone = recipes.filter(([best]) => best.over === null).length;
  const is = near === 1 ? 'is' : 'are';
  return `${capital(count(near))} of ${several(recipes.length, 'colour')} ${is} near what ${several(sticks, 'stick')} can lay; ${count(alone)} by one stick alone.`;
}
