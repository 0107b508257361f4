import { MASS_CELLS } from '../measure/masses';
import { PAINTERS_WHEEL, type Wheel } from '../colour/wheel';
import { quickValueOfLuminance } from '../colour/value';
import { linearFromOklab } from '../colour/oklab';
import { luminance } from '../colour/srgb';
import { blocksOf } from '../picture/blocks';
import { colourGrid } from '../picture/colour-grid';
import type { Picture } from '../picture/picture';
import { differencesOf } from './compare';
import type { LaidStudy } from './lay-study';
import { ownReading } from './own-reading';
import { relationWords } from './words';

/** The most of each kind that is told. */
export const MAX_TOLD = 12;

/**
 * All that a check says of a study, as plain numbers and words: against `against` (in the model's frame) or against the model
 * itself. Each finding has an id of its own within the check.
 */
export function findingOf(
  laid: LaidStudy,
  against: Picture | null = null,
  wheel: Wheel = PAINTERS_WHEEL,
) {
  const { registration, knownBy, grid, cells } = laid;
  const { shift, relations, edges, flattened, proportions } = differencesOf(laid, against);
  const model = against ? colourGrid(against, blocksOf(against), MASS_CELLS) : grid;
  return {
    registration: { error: registration.error, confidence: registration.confidence },
    knownBy,
    shift,
    relations: relations.slice(0, MAX_TOLD).map((relation, i) => {
      const { x, y, value, chroma, hue, share, weight, colour } = relation;
      const { r, g, b } = linearFromOklab(colour);
      return {
        id: `relation-${i + 1}`,
        ...{ x, y, value, chroma, hue, share, weight },
        at: quickValueOfLuminance(luminance(r, g, b)),
        colour,
        words: relationWords(relation, wheel),
      };
    }),
    edges: edges.slice(0, MAX_TOLD).map((edge, i) => ({ id: `edge-${i + 1}`, ...edge })),
    flattened: flattened.slice(0, MAX_TOLD).map((one, i) => ({ id: `gradient-${i + 1}`, ...one })),
    proportions,
    model: ownReading(model),
    study: ownReading({ ...grid, ...cells, mask: Float32Array.from(cells.mask) }),
  };
}
export type Finding = ReturnType<typeof findingOf>;

/** What is said of a study that is held against nothing. */
export function findingAlone(study: Picture): Omit<
  Finding,
  'registration' | 'proportions' | 'model'
> & {
  registration: null;
  proportions: null;
  model: null;
} {
  return {
    registration: null,
    knownBy: null,
    shift: null,
    relations: [],
    edges: [],
    flattened: [],
    proportions: null,
    model: null,
    study: ownReading(colourGrid(study, blocksOf(study), MASS_CELLS)),
  };
}
