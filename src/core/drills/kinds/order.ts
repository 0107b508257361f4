import { valueOfOklab } from '../../colour/value';
import { anyPosition, between, colourAt, graded, shuffled, valueRange } from '../making';
import type { DrillKind } from '../question';

/** How many colours, and the steps of value between neighbours. */
const COUNT = [4, 7] as const;
const STEP = [1.4, 0.45] as const;

/** Colours of many families to be put in order of value. */
export const order: DrillKind = {
  id: 'order by value',
  skill: 'order',
  make(making) {
    const { random, difficulty, wheel, screen } = making;
    const [from, to] = valueRange(screen);
    const step = graded(difficulty, ...STEP);
    const fits = Math.floor((to - from) / step);
    const count = Math.min(fits, Math.round(graded(difficulty, ...COUNT)));
    if (count < 3) return null;
    const lowest = between(random, from, to - step * (count - 1));
    const rising = Array.from({ length: count }, (_, i) =>
      colourAt(wheel, anyPosition(making), lowest + i * step, between(random, 0.02, 0.16)),
    );
    const colours = shuffled(random, rising);
    const places = Array.from(colours.keys()).sort(
      (one, other) => valueOfOklab(colours[one]) - valueOfOklab(colours[other]),
    );
    return {
      shown: { as: 'row', colours },
      form: { by: 'order', order: places },
      about: colours[places[Math.floor(count / 2)]],
      isEstimate: false,
    };
  },
};
