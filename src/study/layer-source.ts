import { oklchFromOklab, type Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import type { LayerSource } from '@/core/mixing/layers-colour';
import { learnedItems } from '@/core/mixing/learn-patches';
import type { LayeredMedium, MediumRecipe } from '@/core/mixing/medium-recipe';
import { ITEM_KINDS, type ShelfContent, type ShelfItem } from '@/contracts/shelf';
import { mixingTubes } from './shelf';

const last = new WeakMap<ShelfContent, Map<LayeredMedium, LayerSource>>();

/** What recipes of a medium are foretold from: what is on a shelf, each as strong as its patches have shown. */
export function layerSource(shelf: ShelfContent, medium: LayeredMedium): LayerSource {
  const known = last.get(shelf) ?? new Map<LayeredMedium, LayerSource>();
  last.set(shelf, known);
  const had = known.get(medium);
  if (had) return had;
  const colours = new Map<string, Oklab>(
    ITEM_KINDS.flatMap((kind) => shelf[kind].map(({ id, colour }) => [id, colour] as const)),
  );
  const tubes = new Map(mixingTubes(shelf).map(({ id, optics }) => [id, optics]));
  const colourOf = (item: string) => colours.get(item) ?? null;
  const opticsOf = (item: string) => tubes.get(item) ?? null;
  const patches = shelf.patches
    .map(({ recipe }) => recipe)
    .filter((recipe) => recipe.medium === medium);
  const factors = learnedItems(patches, { colourOf, opticsOf });
  const source = { colourOf, opticsOf, factorOf: (item: string) => factors.get(item) ?? 1 };
  known.set(medium, source);
  return source;
}

/** How many patches have corrected something that a recipe takes. */
export function correctionsOf(shelf: ShelfContent, recipe: MediumRecipe): number {
  const items = new Set(recipe.layers.map(({ item }) => item));
  return shelf.patches.filter(
    ({ recipe: laid }) =>
      laid.medium === recipe.medium && laid.layers.some(({ item }) => items.has(item)),
  ).length;
}

/** Chroma (OKLCH) under which a pencil is a grey, and Munsell values from which it is white, and under which black. */
const GREY = 0.03;
const WHITE = 8.6;
const BLACK = 1.6;
const isGrey = ({ colour }: ShelfItem) => oklchFromOklab(colour).C < GREY;

/** What pencils burnish with: the lightest that is white; null where none is. */
export function burnishing(pencils: readonly ShelfItem[]): ShelfItem | null {
  const white = pencils.filter((one) => isGrey(one) && valueOfOklab(one.colour) >= WHITE);
  return white.reduce<ShelfItem | null>(
    (best, one) => (best && best.colour.L >= one.colour.L ? best : one),
    null,
  );
}

export const isBlackPencil = (pencil: ShelfItem): boolean =>
  isGrey(pencil) && valueOfOklab(pencil.colour) < BLACK;
