'use client';

import { ofWashes } from '@/study/medium-recipes';
import { paletteTubes } from '@/study/shelf';
import { several } from '@/ui/words';
import { NoTubes } from '../no-tubes';
import { washQuery } from '../../../media-queries';
import { useAnswer } from '../../../use-answer';
import { LayeredFinding } from './layered-finding';
import { LayeredList } from './layered-list';
import type { MediumProps } from './medium-props';
import { nearSentence } from './near-sentence';
import { useLightFirst } from './use-light-first';

/** Each colour in washes of the palette's tubes: how much water, how many layers, light to dark. */
export function WashesPanel({ shelf, store }: MediumProps) {
  const tubes = paletteTubes(shelf);
  const swatches = useLightFirst();
  const { value, stale } = useAnswer<'washRecipes'>(
    washQuery(
      shelf,
      swatches.map(({ colour }) => colour),
    ),
  );
  if (tubes.length === 0) return <NoTubes />;
  const recipes =
    value?.length === swatches.length
      ? value.map((some) => some.map((one) => ofWashes(shelf, one)))
      : null;
  return (
    <>
      <LayeredFinding
        swatches={swatches}
        found={
          recipes &&
          `${nearSentence(swatches, recipes, `washes of ${several(tubes.length, 'tube')}`)}; each is as it looks dry.`
        }
        seeking="Thinning your paints …"
        isStale={stale}
      />
      <p className="mb-2 text-sm leading-snug text-soft">
        On white paper, light before dark. Wet, a wash looks up to a step darker: wait till it is
        dry before the next.
      </p>
      <LayeredList
        medium="washes"
        label="Washes for each colour"
        swatches={swatches}
        recipes={recipes}
        isStale={stale}
        shelf={shelf}
        store={store}
      />
    </>
  );
}
