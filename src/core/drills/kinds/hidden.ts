import { NEUTRAL_CHROMA } from '../../colour/intensity';
import { familyOf } from '../../colour/wheel';
import type { Area } from '../field';
import { between, colourAt, graded, shuffled, valueRange } from '../making';
import type { DrillKind } from '../question';

/** How far the hidden colour is from grey, and the steps of value between the greys about it. */
const CHROMA = [NEUTRAL_CHROMA - 0.001, 0.011] as const;
const GREYS = 5;
const WORDS = 4;

/** The family of a colour hidden among greys. */
export const hidden: DrillKind = {
  id: 'name the hidden colour',
  skill: 'hidden',
  make({ random, difficulty, wheel, screen }) {
    const count = wheel.families.length;
    const family = Math.floor(between(random, 0, count));
    const [from, to] = valueRange(screen);
    const middle = between(random, from + 1, to - 1);
    const colour = colourAt(wheel, family, middle, graded(difficulty, ...CHROMA));
    if (familyOf(colour, wheel).index !== family) return null;
    const greys = Array.from({ length: GREYS }, (_, i): Area => {
      const value = from + ((to - from) * (i + 0.5)) / GREYS;
      return { colour: colourAt(wheel, 0, value, 0), share: 0.85 / GREYS };
    });
    const choices = shuffled(
      random,
      Array.from({ length: WORDS }, (_, k) => (family + k * 3) % count),
    );
    return {
      shown: { as: 'field', areas: shuffled(random, [...greys, { colour, share: 0.15 }]) },
      form: {
        by: 'word',
        words: choices.map((choice) => wheel.families[choice]),
        right: [choices.indexOf(family)],
      },
      about: colour,
      isEstimate: false,
    };
  },
};
