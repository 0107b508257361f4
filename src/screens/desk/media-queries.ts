import type { Oklab } from '@/core/colour/oklab';
import type { Spectrum } from '@/core/mixing/spectrum';
import { times } from '@/core/mixing/tube';
import type { QueryOf } from '@/contracts/desk-query/desk-query';
import type { WorkerTube } from '@/contracts/desk-query/mix-queries';
import type { ShelfContent } from '@/contracts/shelf';
import { burnishing, isBlackPencil, layerSource } from '@/study/layer-source';
import { paletteTubes, type MixingTube } from '@/study/shelf';
import { itemsHere } from '@/study/shelf-items';

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

type Colours = readonly Oklab[];

/** Colours in the sticks that are here; null where there are none of either. */
export function stickQuery(shelf: ShelfContent, colours: Colours): QueryOf<'stickRecipes'> | null {
  const here = itemsHere(shelf, 'sticks');
  const { factorOf } = layerSource(shelf, 'sticks');
  return here.length > 0 && colours.length > 0
    ? {
        kind: 'stickRecipes',
        colours: [...colours],
        sticks: here.map(({ id, colour }) => ({ id, colour, cover: factorOf(id) })),
      }
    : null;
}

/** The same in pencils. */
export function pencilQuery(
  shelf: ShelfContent,
  colours: Colours,
): QueryOf<'pencilRecipes'> | null {
  const here = itemsHere(shelf, 'pencils');
  const { factorOf } = layerSource(shelf, 'pencils');
  return here.length > 0 && colours.length > 0
    ? {
        kind: 'pencilRecipes',
        colours: [...colours],
        pencils: here.map(({ id, colour }) => ({ id, colour, strength: factorOf(id) })),
        blacks: here.filter(isBlackPencil).map(({ id }) => id),
        white: burnishing(here)?.id ?? null,
      }
    : null;
}

/** The same in washes of the palette's tubes. */
export function washQuery(shelf: ShelfContent, colours: Colours): QueryOf<'washRecipes'> | null {
  const tubes = paletteTubes(shelf);
  const { factorOf } = layerSource(shelf, 'washes');
  return tubes.length > 0 && colours.length > 0
    ? {
        kind: 'washRecipes',
        colours: [...colours],
        tubes: tubes.map((tube) =>
          workerTube({ ...tube, optics: times(tube.optics, factorOf(tube.id)) }),
        ),
      }
    : null;
}
