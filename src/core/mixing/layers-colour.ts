import type { Oklab } from '../colour/oklab';
import { oklabFromHex } from '../colour/hex';
import { printed } from './inks';
import type { MediumRecipe, RecipeOf } from './medium-recipe';
import { pencilOf } from './pencil-optics';
import { barePaper, burnished, surfaceColour, withLayer, type PencilSurface } from './pencils';
import type { Optics } from './pigment';
import { overlaid } from './sticks';
import { times } from './tube';
import { washColour } from './washes';

/** What layers are laid with: colours of sticks, pencils and inks, and the optics of paints, by their ids. */
export interface LayerSource {
  colourOf: (item: string) => Oklab | null;
  opticsOf: (item: string) => Optics | null;
  /** How many times as strong as thought each is. */
  factorOf: (item: string) => number;
}

/** What the layers of a recipe are foretold to come to; null where something that it takes is not there. */
export function foretoldColour(recipe: MediumRecipe, source: LayerSource): Oklab | null {
  switch (recipe.medium) {
    case 'sticks': {
      const colours = recipe.layers.map(({ item }) => source.colourOf(item));
      return allThere(colours)
        ? recipe.layers.slice(1).reduce((under, { item, showing }, i) => {
            return overlaid(under, colours[i + 1], showing ** source.factorOf(item));
          }, colours[0])
        : null;
    }
    case 'pencils': {
      const states = pencilStates(recipe, source);
      return states && surfaceColour(states[states.length - 1]);
    }
    case 'inks': {
      const inks = recipe.layers.map(({ item }) => source.colourOf(item));
      if (!allThere(inks)) return null;
      // Two inks are the fewest that can be printed; one alone is printed with nothing of another.
      const alone = inks.length === 1;
      return printed(
        {
          paper: recipe.paper,
          inks: alone ? [...inks, inks[0]] : inks,
          strengths: recipe.layers.map(({ item }) => source.factorOf(item)),
        },
        [...recipe.layers.map(({ cover }) => cover), ...(alone ? [0] : [])],
      );
    }
    case 'washes': {
      const optics = recipe.layers.map(({ item }) => source.opticsOf(item));
      return allThere(optics)
        ? washColour(
            recipe.layers.flatMap(({ item, strength, times: layers }, i) =>
              Array.from({ length: layers }, () => ({
                optics: times(optics[i], source.factorOf(item)),
                strength,
              })),
            ),
          )
        : null;
    }
    case 'screen':
      // Its layers are each laid on the base, which is the colour itself.
      return oklabFromHex(recipe.layers[0].hex);
  }
}

/** The paper and how it looks after each layer; null where a pencil is not there. */
export function pencilStates(
  { layers }: Pick<RecipeOf<'pencils'>, 'layers'>,
  { colourOf, factorOf }: Pick<LayerSource, 'colourOf' | 'factorOf'>,
): PencilSurface[] | null {
  const states = [barePaper()];
  for (const { item, pressure } of layers) {
    const colour = colourOf(item);
    if (!colour) return null;
    const pencil = pencilOf(item, colour, factorOf(item));
    const below = states[states.length - 1];
    states.push(
      pressure === 'burnish' ? burnished(below, pencil) : withLayer(below, { pencil, pressure }),
    );
  }
  return states;
}

const allThere = <T>(some: readonly (T | null)[]): some is readonly T[] =>
  some.every((one) => one !== null);
