import { withValue } from '../../colour/at-value';
import type { Oklab } from '../../colour/oklab';
import { valueOfOklab } from '../../colour/value';
import { derived } from '../../palette/derived';
import { chromaOf, graded, isShown, shuffled, turnedBy, wantedColour, withChroma } from '../making';
import type { DrillKind } from '../question';

/** How far into the shadow, 0–1; how far off the wrong ones are: families, steps of value, times its chroma. */
const AMOUNT = 0.6;
const TURN = [5, 3] as const;
const STEP = [2, 1] as const;
const STRONGER = [2, 1.5] as const;
/** Out of the light nothing grows so much stronger; sRGB has no room for it everywhere. */
const MIN_STRONGER = 1.3;
const MIN_CHROMA = 0.05;
/** A shadow's family is seen. */
const MIN_SHADOW_CHROMA = 0.03;

/**
 * The colour in the shadow of one in a warm light: darker, no stronger, of its own family or the next away from the light.
 * How far it goes hangs on the light, so the wrong ones break that rule outright.
 */
export const shadowPartner: DrillKind = {
  id: 'the shadow of a light',
  skill: 'light',
  make(making) {
    const { random, wheel, difficulty, screen } = making;
    const shadowOf = (one: Oklab) => derived(one, 'shadow', { amount: AMOUNT, warmth: 0.5 }, wheel);
    const times = graded(difficulty, ...STRONGER);
    const strongerOf = (one: Oklab) => withChroma(shadowOf(one), chromaOf(one) * times);
    const colour = wantedColour(making, {
      chroma: [MIN_CHROMA, 0.16],
      suits: (one) =>
        isShown(shadowOf(one), screen) &&
        chromaOf(shadowOf(one)) >= MIN_SHADOW_CHROMA &&
        chromaOf(strongerOf(one)) >= chromaOf(one) * MIN_STRONGER,
    });
    if (!colour) return null;
    const shadow = shadowOf(colour);
    const step = graded(difficulty, ...STEP);
    const choices = shuffled(random, [
      shadow,
      turnedBy(wheel, shadow, (random() < 0.5 ? -1 : 1) * graded(difficulty, ...TURN)),
      // Lighter than in the light.
      withValue(shadow, Math.min(9.6, valueOfOklab(colour) + step / 2)),
      strongerOf(colour),
    ]);
    return {
      shown: { as: 'patch', colour },
      form: { by: 'colour', colours: choices, right: [choices.indexOf(shadow)] },
      about: colour,
      isEstimate: false,
    };
  },
};
