import { withoutRecipe } from './without-recipe';
import { listOf, type Stored } from './versioned';

export const STUDY_VERSION = 5;

/** What each function makes of a study: version 2 of version 1, and so on. */
export const studyUpgrades = [
  withAllFields,
  withDepthAndChanges,
  withKeysOfHarmonies,
  withRecipesAndUse,
];

/**
 * Version 1 grew by fields that older documents lack; from version 2 on all are there. The values are
 * those that each had when it came, whatever is the default now.
 */
function withAllFields(document: Stored): Stored {
  const palette = (document.palette ?? {}) as Stored;
  return {
    ...document,
    values: { thresholds: [], squint: 0.008, ...(document.values as Stored) },
    lightAndShadow: document.lightAndShadow ?? { corrections: [] },
    hidden: document.hidden ?? {
      push: { lift: 0, quiet: 0, spread: 0.5, cast: 'global' },
      kept: { wheel: 'painters', families: [] },
      parts: [],
      only: { kind: 'all' },
      looks: [],
    },
    palette: {
      lean: 'balanced',
      region: null,
      target: { main: 0.6, second: 0.3, accent: 0.1 },
      sets: [],
      ...palette,
      swatches: listOf(palette.swatches).map(wholeSwatch),
    },
  };
}

/** Version 3 keeps which masses lie how far away, and how a hand changed a swatch. */
function withDepthAndChanges(document: Stored): Stored {
  const palette = (document.palette ?? {}) as Stored;
  return {
    ...document,
    depth: { marks: [] },
    palette: { ...palette, swatches: listOf(palette.swatches).map(unchangedSwatch) },
  };
}

/** In version 4 a harmony may keep its key, or have a ladder of it, and each colour a strength of its own. */
function withKeysOfHarmonies(document: Stored): Stored {
  const palette = document.palette as Stored;
  return {
    ...document,
    palette: {
      ...palette,
      sets: listOf(palette.sets).map((set) =>
        set.kind === 'harmony'
          ? {
              ...set,
              settings: {
                ...(set.settings as Stored),
                intensities: [],
                keepsKey: false,
                tones: 1,
              },
            }
          : set,
      ),
    },
  };
}

/** In version 5 a swatch may have the recipe that it is mixed by, the study has a medium, and what its picture is used for. */
function withRecipesAndUse(document: Stored): Stored {
  const palette = document.palette as Stored;
  return {
    ...document,
    medium: 'paint',
    use: {
      transfer: { colours: null, mode: 'held', way: 'by value', held: [], prominence: [] },
      mood: {
        mood: 'golden evening',
        settings: {
          lightHue: 68,
          lightChroma: 0.055,
          shadowHue: 285,
          shadowChroma: 0.03,
          key: -0.3,
          range: 1,
          apart: 0.3,
          chroma: 1.08,
          greens: 4,
          air: 0.2,
        },
      },
      whatIf: [],
      key: { hue: 60, scheme: 'analogous', degree: 0.5, keepsSkin: true, keepsNeutrals: true },
      parts: [],
      variants: [],
    },
    palette: { ...palette, swatches: listOf(palette.swatches).map(withoutRecipe) },
  };
}

function unchangedSwatch(swatch: Stored): Stored {
  const parts = (swatch.parts ?? []) as { at: number; swatch: Stored }[];
  return {
    ...swatch,
    change: null,
    parts: parts.map((part) => ({ ...part, swatch: unchangedSwatch(part.swatch) })),
  };
}

function wholeSwatch(swatch: Stored): Stored {
  const parts = (swatch.parts ?? []) as { at: number; swatch: Stored }[];
  return {
    role: null,
    follows: null,
    components: [],
    ...swatch,
    parts: parts.map((part) => ({ ...part, swatch: wholeSwatch(part.swatch) })),
  };
}
