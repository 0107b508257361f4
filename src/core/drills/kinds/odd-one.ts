import { withValue } from '../../colour/at-value';
import { labFromOklab } from '../../colour/cielab';
import { ciede2000 } from '../../colour/ciede2000';
import type { Oklab } from '../../colour/oklab';
import { valueOfOklab } from '../../colour/value';
import { chromaOf, graded, shuffled, turnedBy, wantedColour, withChroma } from '../making';
import type { DrillKind } from '../question';

/** How many stand in the row, and by how much one differs: in ΔE₀₀. */
const COUNT = 6;
const DIFFERENCE = [9, 2.5] as const;
/** It moves by so much at most: steps of value, families. */
const ROOM = 1.2;

/** Which of several alike is another colour: by value, by intensity or by family, but by one of them alone. */
export const oddOne: DrillKind = {
  id: 'the odd one',
  skill: 'contrast',
  make(making) {
    const { random, wheel, difficulty } = making;
    const colour = wantedColour(making, { chroma: [0.04, 0.16], room: ROOM });
    if (!colour) return null;
    const sign = random() < 0.5 ? -1 : 1;
    const wanted = graded(difficulty, ...DIFFERENCE);
    const own = labFromOklab(colour);
    const odd = shuffled(random, [
      (by: number) => withValue(colour, valueOfOklab(colour) + sign * by),
      (by: number) => withChroma(colour, Math.max(0, chromaOf(colour) - 0.06 * by)),
      (by: number) => turnedBy(wheel, colour, sign * by),
    ])
      .map((moved) => movedUntil(moved, (one) => ciede2000(own, labFromOklab(one)) >= wanted))
      .find((one) => one !== null);
    if (!odd) return null;
    const at = Math.floor(random() * COUNT);
    return {
      shown: {
        as: 'row',
        colours: Array.from({ length: COUNT }, (_, i) => (i === at ? odd : colour)),
      },
      form: { by: 'place', right: [at] },
      about: colour,
      isEstimate: false,
    };
  },
};

/** What moves with a number, where it is first far enough; null where it never is. */
function movedUntil(moved: (by: number) => Oklab, isEnough: (one: Oklab) => boolean): Oklab | null {
  if (!isEnough(moved(ROOM))) return null;
  let [low, high] = [0, ROOM];
  for (let i = 0; i < 20; i++) {
    const middle = (low + high) / 2;
    if (isEnough(moved(middle))) high = middle;
    else low = middle;
  }
  return moved(high);
}
