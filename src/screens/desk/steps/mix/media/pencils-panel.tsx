'use client';

import { TechniqueCautions } from '@/materials/caution-lines';
import { ofPencils } from '@/study/medium-recipes';
import { itemsHere } from '@/study/shelf-items';
import { several } from '@/ui/words';
import { pencilQuery } from '../../../media-queries';
import { useAnswer } from '../../../use-answer';
import { LayeredFinding } from './layered-finding';
import { LayeredList } from './layered-list';
import type { MediumProps } from './medium-props';
import { nearSentence } from './near-sentence';
import { NothingHere } from './nothing-here';
import { useLightFirst } from './use-light-first';

/** Each colour in layers of pencil, with their pressures, and how the tooth fills. */
export function PencilsPanel({ shelf, store }: MediumProps) {
  const here = itemsHere(shelf, 'pencils');
  const swatches = useLightFirst();
  const { value, stale } = useAnswer<'pencilRecipes'>(
    pencilQuery(
      shelf,
      swatches.map(({ colour }) => colour),
    ),
  );
  if (here.length === 0) return <NothingHere kind="pencils" />;
  const recipes =
    value?.length === swatches.length
      ? value.map((some) => some.map((one) => ofPencils(shelf, one)))
      : null;
  return (
    <>
      <LayeredFinding
        swatches={swatches}
        found={
          recipes &&
          `${nearSentence(swatches, recipes, several(here.length, 'pencil'))}, in ${layersSentence(recipes.map(([best]) => best?.layers.length ?? 0))}.`
        }
        seeking="Laying your pencils over one another …"
        isStale={stale}
      />
      <LayeredList
        medium="pencils"
        label="Pencils for each colour"
        swatches={swatches}
        recipes={recipes}
        isStale={stale}
        shelf={shelf}
        store={store}
      />
      <TechniqueCautions medium="pencils" only={['fixative']} />
    </>
  );
}

function layersSentence(counts: readonly number[]): string {
  const [least, most] = [Math.min(...counts), Math.max(...counts)];
  return least === most ? several(most, 'layer') : `${least} to ${most} layers`;
}
