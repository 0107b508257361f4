import { NEUTRAL_CHROMA } from '../../colour/intensity';
import { familyOf } from '../../colour/wheel';
import { graded, shuffled, wantedColour } from '../making';
import type { DrillKind } from '../question';

/** The quietest grey that is asked about, and how many families lie between the words to choose from. */
const CHROMA = [0.015, 0.008] as const;
const BETWEEN = [4, 2] as const;
const WORDS = 3;

/** Toward which family a grey leans. */
export const lean: DrillKind = {
  id: 'toward what a grey leans',
  skill: 'lean',
  make(making) {
    const { random, wheel, difficulty } = making;
    const colour = wantedColour(making, {
      chroma: [graded(difficulty, ...CHROMA), NEUTRAL_CHROMA - 0.001],
      suits: (one) => familyOf(one, wheel).lean <= 0.8,
    });
    if (!colour) return null;
    const { index } = familyOf(colour, wheel);
    const apart = Math.round(graded(difficulty, ...BETWEEN));
    const count = wheel.families.length;
    const choices = shuffled(
      random,
      Array.from({ length: WORDS }, (_, i) => (index + i * apart) % count),
    );
    return {
      shown: { as: 'patch', colour },
      form: {
        by: 'word',
        words: choices.map((choice) => wheel.families[choice]),
        right: [choices.indexOf(index)],
      },
      about: colour,
      isEstimate: false,
    };
  },
};
