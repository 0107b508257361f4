'use client';

import { valueOfOklab } from '@/core/colour/value';
import type { RecipeAnswer, WorkerTube } from '@/contracts/desk-query/mix-queries';
import type { Spectrum } from '@/core/mixing/spectrum';
import type { ShelfContent } from '@/contracts/shelf';
import type { TraySwatch } from '@/contracts/study';
import type { ShelfStore } from '@/materials/use-shelf';
import { mixingTubes, type MixingTube } from '@/study/shelf';
import { useDocument, useStepView } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { mixView } from './mix-view';

/** The palette's colours, light before dark, with their recipes from the tubes that may be used. */
export interface Mix {
  onPalette: MixingTube[];
  /** Those of the palette that may be used here. */
  tubes: MixingTube[];
  swatches: TraySwatch[];
  /** Null while they are mixed for the first time. */
  recipes: RecipeAnswer[][] | null;
  isStale: boolean;
}

/** What each part of the step is given. */
export interface MixTabProps {
  mix: Mix;
  shelf: ShelfContent;
  store: ShelfStore;
}

/** So many digits of a spectrum are far more than any tube is known by. */
const DIGITS = 5;
const rounded = (spectrum: Spectrum) =>
  Array.from(spectrum, (at) => Number(at.toPrecision(DIGITS)));

/** A tube as the worker takes it. */
export const workerTube = ({ id, pigments, optics }: MixingTube): WorkerTube => ({
  id,
  pigments: pigments.map((pigment) => pigment.id),
  K: rounded(optics.K),
  S: rounded(optics.S),
});

export function useMix(shelf: ShelfContent): Mix {
  const [{ most, black, cadmiumFree, without }] = useStepView(mixView);
  const all = useDocument((document) => document.palette.swatches);
  const onPalette = mixingTubes(shelf).filter((tube) =>
    shelf.tubes.some(({ id, standing }) => id === tube.id && standing === 'palette'),
  );
  const tubes = onPalette.filter(
    ({ id, pigments }) =>
      !without.includes(id) &&
      !(cadmiumFree && pigments.some(({ metals }) => metals?.includes('cadmium'))),
  );
  const swatches = all.toSorted(
    (one, other) => valueOfOklab(other.colour) - valueOfOklab(one.colour),
  );
  const { value, stale } = useAnswer(
    tubes.length > 0 && swatches.length > 0
      ? {
          kind: 'recipes',
          colours: swatches.map(({ colour }) => colour),
          tubes: tubes.map(workerTube),
          maxTubes: Number(most),
          black,
        }
      : null,
  );
  const recipes = value?.length === swatches.length ? value : null;
  return { onPalette, tubes, swatches, recipes, isStale: stale };
}
