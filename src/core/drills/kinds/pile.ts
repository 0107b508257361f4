import { ciede2000 } from '../../colour/ciede2000';
import { labFromOklab, type Lab } from '../../colour/cielab';
import type { Oklab } from '../../colour/oklab';
import { inGamut } from '../../colour/gamut';
import { mixColour, mixLab } from '../../mixing/mix-lab';
import { pigmentOf } from '../../mixing/pigments/pigments';
import { TUBE_SETS } from '../../mixing/tube-sets';
import { tubeOf, type Tube } from '../../mixing/tube';
import { once } from '../../once';
import { graded, isShown, oneOf, shuffled } from '../making';
import type { DrillKind, Shown } from '../question';

/** How far the pile is from the colour that is wanted, in ΔE₀₀, and how much farther the wrong tubes leave it. */
const FAR = [14, 6] as const;
const WORSE = [6, 2.5] as const;
/** Tubes in the whole mixture, and tubes to choose from. */
const TUBES = 3;
const CHOICES = 4;
const PARTS = [1, 2, 3, 5] as const;
/** Parts of a tube that are tried, against a whole mixture of some six. */
const TRIED = Array.from({ length: 16 }, (_, i) => 0.05 * 1.45 ** i);
const TRIES = 60;

/** Where somebody has no tubes yet. */
const usualTubes = once((): Tube[] =>
  TUBE_SETS[2].pigments.flatMap((id) => {
    const pigment = pigmentOf(id);
    return pigment ? [tubeOf(id, [pigment])] : [];
  }),
);

interface Part {
  tube: Tube;
  parts: number;
}

const paintsOf = (pile: readonly Part[], tube: Tube) => [
  ...pile.map((part) => part.tube.optics),
  tube.optics,
];
const weightsOf = (pile: readonly Part[], parts: number) => [
  ...pile.map((part) => part.parts),
  parts,
];

/** ΔE₀₀ from what is wanted at the best of what a tube makes of a pile, and how many parts of it that takes. */
function bestWith(pile: readonly Part[], tube: Tube, wanted: Lab): { far: number; parts: number } {
  const paints = paintsOf(pile, tube);
  const tried = TRIED.map((parts) => ({
    far: ciede2000(mixLab(paints, weightsOf(pile, parts)), wanted),
    parts,
  }));
  return tried.reduce((best, one) => (one.far < best.far ? one : best));
}

/** The tubes that questions are made of: one's own, or a usual set where they are too few. */
const tubesFor = (own: readonly Tube[] | undefined): readonly Tube[] =>
  own && own.length >= CHOICES ? own : usualTubes();

/** The nearest that a tube brings the pile of a question to what is wanted; null for a tube that isn't there (any more). */
export function nearestWith(
  { parts, wanted }: Extract<Shown, { as: 'pile' }>,
  tubeId: string,
  own: readonly Tube[] | undefined,
): Oklab | null {
  const known = new Map(tubesFor(own).map((tube) => [tube.id, tube]));
  const tube = known.get(tubeId);
  const pile = parts.flatMap((part): Part[] => {
    const of = known.get(part.tube);
    return of ? [{ tube: of, parts: part.parts }] : [];
  });
  if (!tube || pile.length < parts.length) return null;
  const best = bestWith(pile, tube, labFromOklab(wanted));
  return mixColour(paintsOf(pile, tube), weightsOf(pile, best.parts));
}

/** Which tube brings a pile to the colour that is wanted: a step of a recipe. */
export const pile: DrillKind = {
  id: 'what the pile lacks',
  skill: 'mixing',
  make({ random, difficulty, screen, tubes }) {
    const own = tubesFor(tubes);
    for (let i = 0; i < TRIES; i++) {
      const order = shuffled(random, own);
      const whole = order.slice(0, TUBES).map((tube) => ({ tube, parts: oneOf(random, PARTS) }));
      const begun = whole.slice(0, -1);
      const colourOf = (parts: readonly Part[]) =>
        mixColour(
          parts.map(({ tube }) => tube.optics),
          parts.map((part) => part.parts),
        );
      const [before, wanted] = [colourOf(begun), colourOf(whole)];
      const lab = labFromOklab(wanted);
      // Some mixtures are beyond what a screen shows.
      if (![before, wanted].every((colour) => inGamut(colour) && isShown(colour, screen))) continue;
      if (ciede2000(labFromOklab(before), lab) < graded(difficulty, ...FAR)) continue;
      const lacking = whole[TUBES - 1].tube;
      const reached = bestWith(begun, lacking, lab).far;
      // What comes as near could be defended.
      const others = order
        .slice(TUBES)
        .filter((tube) => bestWith(begun, tube, lab).far >= reached + graded(difficulty, ...WORSE));
      if (others.length < CHOICES - 1) continue;
      const choices = shuffled(random, [lacking, ...others.slice(0, CHOICES - 1)]);
      return {
        shown: {
          as: 'pile',
          colour: before,
          parts: begun.map(({ tube, parts }) => ({ tube: tube.id, parts })),
          wanted,
        },
        form: {
          by: 'word',
          words: choices.map(({ id }) => id),
          right: [choices.indexOf(lacking)],
        },
        about: wanted,
        isEstimate: false,
      };
    }
    return null;
  },
};
