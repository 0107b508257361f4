import { withValue } from '../../colour/at-value';
import type { Oklab } from '../../colour/oklab';
import { valueOfOklab } from '../../colour/value';
import { derived } from '../../palette/derived';
import { chromaOf, graded, shuffled, wantedColour, withChroma } from '../making';
import type { DrillKind } from '../question';

const AMOUNT = 0.7;
const STRONGER = 1.3;
const STEP = [2, 1] as const;
/** What lies nearer to the middle is hardly moved by the water. */
const OFF_MIDDLE = 1.5;

/**
 * The colour of a thing's reflection in water: lights darker, darks lighter, all duller. How far it goes hangs on the water, so
 * the wrong ones break that rule outright.
 */
export const reflection: DrillKind = {
  id: 'the reflection',
  skill: 'light',
  make(making) {
    const { random, wheel, difficulty } = making;
    const mirroredOf = (one: Oklab) =>
      derived(one, 'reflection', { amount: AMOUNT, warmth: 0 }, wheel);
    const strongerOf = (one: Oklab) => withChroma(mirroredOf(one), chromaOf(one) * STRONGER);
    const colour = wantedColour(making, {
      chroma: [0.05, 0.2],
      room: 0.2,
      suits: (one) =>
        Math.abs(valueOfOklab(one) - 5) >= OFF_MIDDLE && chromaOf(strongerOf(one)) > chromaOf(one),
    });
    if (!colour) return null;
    const mirrored = mirroredOf(colour);
    const step = graded(difficulty, ...STEP) * Math.sign(valueOfOklab(colour) - 5);
    const choices = shuffled(random, [
      mirrored,
      // As it is, stronger than it is, and moved the wrong way.
      colour,
      strongerOf(colour),
      withValue(mirrored, Math.min(9.6, Math.max(0.8, valueOfOklab(colour) + step / 2))),
    ]);
    return {
      shown: { as: 'patch', colour },
      form: { by: 'colour', colours: choices, right: [choices.indexOf(mirrored)] },
      about: colour,
      isEstimate: false,
    };
  },
};
