'use client';

import { formLayers } from '@/core/mixing/screen-layers';
import { ofScreen } from '@/study/medium-recipes';
import { Finding } from '@/ui/panel-parts';
import { capital, several } from '@/ui/words';
import { LayeredList } from './layered-list';
import type { MediumProps } from './medium-props';
import { useLightFirst } from './use-light-first';

/** Each colour as layers for who paints on a screen. */
export function ScreenPanel({ shelf, store }: MediumProps) {
  const swatches = useLightFirst();
  const recipes = swatches.map(({ colour }) => [ofScreen(colour, formLayers(colour))]);
  return (
    <>
      <Finding>
        {swatches.length === 0
          ? 'No colours to lay yet: extract some, or pick them.'
          : `${capital(several(swatches.length, 'colour'))}, each with a shadow, a half-tone edge, a light, a glaze and its own grey to mute it.`}
      </Finding>
      <LayeredList
        medium="screen"
        label="Layers for each colour"
        swatches={swatches}
        recipes={recipes}
        isStale={false}
        shelf={shelf}
        store={store}
      />
    </>
  );
}
