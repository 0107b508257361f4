import { valueOfOklab } from '../../colour/value';
import { familyOf } from '../../colour/wheel';
import { between, graded, shuffled, wantedColour } from '../making';
import { atValue } from '../../colour/at-value';
import type { DrillKind } from '../question';

/** How strong the ground is, and how many families lie between the words to choose from. */
const CHROMA = [0.14, 0.06] as const;
const BETWEEN = 3;
const WORDS = 4;

/**
 * What a plain grey will read as in a ground: away from it on the wheel. That is an estimate of simultaneous contrast, and
 * several answers can be defended, so it is shown and not scored.
 * Source of the kind of effect: M. E. Chevreul, 1839.
 */
export const readsAs: DrillKind = {
  id: 'what a grey reads as',
  skill: 'contrast',
  make(making) {
    const { random, wheel, difficulty } = making;
    const chroma = graded(difficulty, ...CHROMA);
    const ground = wantedColour(making, {
      chroma: [chroma, chroma + 0.06],
      suits: (one) => familyOf(one, wheel).lean <= 0.7,
    });
    if (!ground) return null;
    const count = wheel.families.length;
    const away = (familyOf(ground, wheel).index + count / 2) % count;
    const turn = Math.floor(between(random, -1, 2));
    const choices = shuffled(
      random,
      Array.from({ length: WORDS }, (_, i) => (away + turn + i * BETWEEN + count) % count),
    );
    const isAway = (choice: number) =>
      Math.min(Math.abs(choice - away), count - Math.abs(choice - away)) <= 1;
    return {
      shown: { as: 'in a ground', colour: atValue(valueOfOklab(ground), 0, () => 0), ground },
      form: {
        by: 'word',
        words: choices.map((choice) => wheel.families[choice]),
        right: choices.flatMap((choice, i) => (isAway(choice) ? [i] : [])),
      },
      about: ground,
      isEstimate: true,
    };
  },
};
