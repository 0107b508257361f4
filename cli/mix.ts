import { hexFromOklab, oklabFromHex } from '../src/core/colour/hex';
import { inGamut } from '../src/core/colour/gamut';
import { colourName } from '../src/core/colour/name';
import { oklchFromOklab, type Oklab } from '../src/core/colour/oklab';
import { valueOfOklab } from '../src/core/colour/value';
import { oklabOf } from '../src/core/mixing/observer';
import { filmOver, mixed, paintColour } from '../src/core/mixing/paint';
import { opticsOf, type Pigment } from '../src/core/mixing/pigment';
import { PIGMENTS, TITANIUM_WHITE } from '../src/core/mixing/pigments/pigments';
import { knownPigment, readMix } from '../src/core/mixing/read-mix';
import { findRecipes } from '../src/core/mixing/recipes';
import { smoothReflectance } from '../src/core/mixing/smooth-reflectance';
import { kindOf, tubeOf } from '../src/core/mixing/tube';
import {
  mixReportSchema,
  pigmentReportSchema,
  recipeReportSchema,
  type MixReport,
  type PigmentReport,
  type RecipeReport,
} from '../src/contracts/mix-report';

const DEFAULT_GROUND = '#ffffff';
/** White to one part of colour, in the tint that pigments are listed with. */
const TINT = 10;

/**
 * The colour of a mixture, thick or, with `coat` (1 is a full coat), as a film over a ground.
 * Throws a RangeError for what can't be read.
 */
export function mixReport(
  mixture: string,
  { coat, ground }: { coat?: number; ground?: string } = {},
): MixReport {
  const optics = mixed(
    readMix(mixture).map(({ pigment, parts }) => ({ optics: opticsOf(pigment), parts })),
  );
  const colour =
    coat === undefined && ground === undefined
      ? paintColour(optics)
      : oklabOf(filmOver(optics, coat ?? 1, smoothReflectance(readHex(ground ?? DEFAULT_GROUND))));
  const { C, h } = oklchFromOklab(colour);
  return mixReportSchema.parse({
    hex: hexFromOklab(colour),
    inGamut: inGamut(colour),
    oklab: colour,
    value: valueOfOklab(colour),
    chroma: C,
    hue: h,
    name: colourName(colour),
  });
}

/**
 * How a colour is mixed from some pigments, a tube of each. A black that is listed may be used.
 * Throws a RangeError for what can't be read.
 */
export function recipeReport(hex: string, names: string, maxTubes?: number): RecipeReport {
  const pigments = names.split(',').map((name) => knownPigment(name.trim()));
  const tubes = [...new Set(pigments)].map((pigment) => tubeOf(pigment.id, [pigment]));
  const black = tubes.some((tube) => kindOf(tube) === 'black');
  const recipes = findRecipes(readHex(hex), tubes, { maxTubes, black });
  return recipeReportSchema.parse({
    recipes: recipes.map(({ parts, colour, ...recipe }) => ({
      ...recipe,
      parts: parts.map(({ tube, parts: amount }) => ({ tube: tube.id, parts: amount })),
      hex: hexFromOklab(colour),
    })),
  });
}

/** Every pigment that is known, with its mass tone and its tint in ten parts of titanium white. */
export function pigmentReport(): PigmentReport {
  return pigmentReportSchema.parse({
    pigments: PIGMENTS.map((pigment) => ({
      id: pigment.id,
      names: pigment.names,
      opacity: pigment.opacity,
      strength: pigment.strength,
      drying: pigment.drying,
      metals: pigment.metals ?? [],
      massTone: hexFromOklab(paintColour(opticsOf(pigment))),
      tint: hexFromOklab(tintOf(pigment)),
      known: pigment.known,
    })),
  });
}

function tintOf(pigment: Pigment): Oklab {
  return paintColour(
    mixed([
      { optics: opticsOf(pigment), parts: 1 },
      { optics: opticsOf(TITANIUM_WHITE), parts: TINT },
    ]),
  );
}

function readHex(text: string): Oklab {
  const colour = oklabFromHex(text);
  if (!colour) throw new RangeError(`“${text}” is no colour; write it as #7a5c3e`);
  return colour;
}
