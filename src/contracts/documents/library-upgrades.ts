import { listOf, type Stored } from './versioned';

export const LIBRARY_VERSION = 2;

/** What each function makes of a library: version 2 of version 1, and so on. */
export const libraryUpgrades = [withNamesAndRoles];

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
