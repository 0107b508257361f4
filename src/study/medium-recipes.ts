import type { FormLayer } from '@/core/mixing/screen-layers';
import type { StickRecipe } from '@/core/mixing/sticks';
import type { MediumRecipe, RecipeOf } from '@/core/mixing/medium-recipe';
import type { Oklab } from '@/core/colour/oklab';
import type {
  PencilRecipeAnswer,
  SeparationAnswer,
  WashRecipeAnswer,
} from '@/contracts/desk-query/mix-queries';
import type { ItemKind, ShelfContent } from '@/contracts/shelf';
import { itemName } from './shelf-items';

/** Names of what is on a shelf, by id; what is gone has none. */
function namesOn(shelf: ShelfContent, kind: ItemKind): (id: string) => string {
  const names = new Map(shelf[kind].map((item) => [item.id, itemName(item)]));
  return (id) => names.get(id) ?? 'one that is gone';
}

/** A recipe of sticks as it goes along with a swatch. */
export function ofSticks(
  shelf: ShelfContent,
  { stick, over, colour }: StickRecipe,
): RecipeOf<'sticks'> {
  const nameOf = namesOn(shelf, 'sticks');
  const layer = (id: string, showing: number) => ({ item: id, name: nameOf(id), showing });
  return {
    medium: 'sticks',
    owner: shelf.owner,
    colour: inBounds(colour),
    tried: false,
    layers: [layer(stick.id, 0), ...(over ? [layer(over.stick.id, over.showing)] : [])],
  };
}

export function ofPencils(
  shelf: ShelfContent,
  { layers, burnish, colour }: PencilRecipeAnswer,
): RecipeOf<'pencils'> {
  const nameOf = namesOn(shelf, 'pencils');
  const layer = (id: string, pressure: RecipeOf<'pencils'>['layers'][number]['pressure']) => ({
    item: id,
    name: nameOf(id),
    pressure,
  });
  return {
    medium: 'pencils',
    owner: shelf.owner,
    colour: inBounds(colour),
    tried: false,
    layers: [
      ...layers.map(({ pencil, pressure }) => layer(pencil, pressure)),
      ...(burnish ? [layer(burnish, 'burnish')] : []),
    ],
  };
}

/** An ink that covers less than this is left out of a recipe. */
const MIN_COVER = 0.01;

/** Null where the paper alone comes nearest. */
export function ofInks(
  shelf: ShelfContent,
  inks: readonly string[],
  paper: Oklab,
  { cover, colour }: SeparationAnswer,
): RecipeOf<'inks'> | null {
  const nameOf = namesOn(shelf, 'inks');
  const layers = inks.flatMap((id, i) =>
    cover[i] >= MIN_COVER ? [{ item: id, name: nameOf(id), cover: cover[i] }] : [],
  );
  return layers.length === 0
    ? null
    : {
        medium: 'inks',
        owner: shelf.owner,
        colour: inBounds(colour),
        tried: false,
        paper: inBounds(paper),
        layers,
      };
}

export function ofWashes(
  shelf: ShelfContent,
  { steps, colour }: WashRecipeAnswer,
): RecipeOf<'washes'> {
  return {
    medium: 'washes',
    owner: shelf.owner,
    colour: inBounds(colour),
    tried: false,
    layers: steps.map(({ tube, strength, layers }) => {
      const found = shelf.tubes.find(({ id }) => id === tube);
      return {
        item: tube,
        name: found?.name ?? 'one that is gone',
        strength,
        times: layers,
        pigments: found?.pigments ?? [],
      };
    }),
  };
}

/** The layers that a colour is painted with on a screen; its colour is the base, which is the swatch itself. */
export function ofScreen(colour: Oklab, form: readonly FormLayer[]): RecipeOf<'screen'> {
  return {
    medium: 'screen',
    owner: '',
    colour: inBounds(colour),
    tried: false,
    layers: form.map(({ part, layer: { hex, opacity, mode } }) => ({
      item: '',
      name: part,
      hex,
      opacity,
      mode,
    })),
  };
}

/** The same recipe with what came of it when it was laid. */
export const triedAs = (recipe: MediumRecipe, colour: Oklab): MediumRecipe => ({
  ...recipe,
  colour: inBounds(colour),
  tried: true,
});

const clamp = (at: number, low: number, high: number) => Math.min(high, Math.max(low, at));

/** What a recipe may hold: a computed colour can lie a hair beyond white. */
const inBounds = ({ L, a, b }: Oklab): Oklab => ({
  L: clamp(L, 0, 1),
  a: clamp(a, -1, 1),
  b: clamp(b, -1, 1),
});
