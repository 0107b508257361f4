import { withoutRecipe } from './without-recipe';
import { listOf, type Stored } from './versioned';

export const LIBRARY_VERSION = 4;

/** What each function makes of a library: version 2 of version 1, and so on. */
export const libraryUpgrades = [withNamesAndRoles, withSets, withRecipes];

/** Version 1 said no version, and its oldest swatches neither other names nor a role. */
function withNamesAndRoles(library: Stored): Stored {
  return {
    ...library,
    swatches: listOf(library.swatches).map((swatch) => ({
      otherNames: [],
      role: null,
      ...swatch,
    })),
  };
}

/** Version 3 is a palette that is worked on: what swatches follow, were changed and merged from, ladders, proportions. */
function withSets(library: Stored): Stored {
  return {
    ...library,
    sets: [],
    target: { main: 0.6, second: 0.3, accent: 0.1 },
    swatches: listOf(library.swatches).map((swatch) => ({
      ...swatch,
      follows: null,
      change: null,
      parts: [],
    })),
  };
}

/** In version 4 a swatch may have the recipe that it is mixed by. */
function withRecipes(library: Stored): Stored {
  return { ...library, swatches: listOf(library.swatches).map(withoutRecipe) };
}
