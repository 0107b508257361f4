'use client';

import { useState } from 'react';
import { valueOfOklab } from '@/core/colour/value';
import type { RecipeAnswer } from '@/contracts/desk-query/mix-queries';
import type { ShelfContent } from '@/contracts/shelf';
import type { TraySwatch } from '@/contracts/study';
import type { ShelfStore } from '@/materials/use-shelf';
import { paletteTubes, type MixingTube } from '@/study/shelf';
import { useDocument, useStepView } from '../../desk-store';
import { workerTube } from '../../media-queries';
import { useAnswer } from '../../use-answer';
import { mixView } from './mix-view';

/** The palette's colours, light before dark, with their recipes from the tubes that may be used. */
export interface Mix {
  onPalette: MixingTube[];
  /** Those of the palette that may be used here. */
  tubes: MixingTube[];
  swatches: TraySwatch[];
  /** Those that are mixed already, in the swatches' order. */
  ready: readonly RecipeAnswer[][];
  /** All of them; null while some are still being mixed. */
  recipes: RecipeAnswer[][] | null;
  isStale: boolean;
}

/** What each part of the step is given. */
export interface MixTabProps {
  mix: Mix;
  shelf: ShelfContent;
  store: ShelfStore;
}

/** Colours mixed in one answer: each is shown once it is there, and other queries get between. */
const AT_ONCE = 2;
const NONE_READY: RecipeAnswer[][] = [];

export function useMix(shelf: ShelfContent): Mix {
  const [{ most, black, cadmiumFree, without }] = useStepView(mixView);
  const all = useDocument((document) => document.palette.swatches);
  const onPalette = paletteTubes(shelf);
  const tubes = onPalette.filter(
    ({ id, pigments }) =>
      !without.includes(id) &&
      !(cadmiumFree && pigments.some(({ metals }) => metals?.includes('cadmium'))),
  );
  const swatches = all.toSorted(
    (one, other) => valueOfOklab(other.colour) - valueOfOklab(one.colour),
  );
  const limits = { tubes: tubes.map(workerTube), maxTubes: Number(most), black };
  // The worker keeps what it mixed within the same limits: there a palette that changes is mixed in one query.
  const key = JSON.stringify(limits);
  const [begun, setBegun] = useState({ key, count: AT_ONCE });
  const wanted = Math.min(swatches.length, begun.key === key ? begun.count : AT_ONCE);
  const { value, stale } = useAnswer(
    tubes.length > 0 && wanted > 0
      ? {
          kind: 'recipes',
          colours: swatches.slice(0, wanted).map(({ colour }) => colour),
          ...limits,
        }
      : null,
  );
  if (!stale && value?.length === wanted && wanted < swatches.length)
    setBegun({ key, count: wanted + AT_ONCE });
  const ready = value && value.length <= swatches.length ? value : NONE_READY;
  const recipes = ready.length === swatches.length ? value : null;
  return { onPalette, tubes, swatches, ready, recipes, isStale: stale };
}
