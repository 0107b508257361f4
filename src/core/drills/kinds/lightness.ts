import type { Oklab } from '../../colour/oklab';
import { rgbFromOklab } from '../../colour/oklab';
import { valueOfOklab } from '../../colour/value';
import { anyPosition, between, colourAt, graded, shuffled, valueRange } from '../making';
import type { DrillKind } from '../question';

/** Steps of value between the two, and so many are tried. */
const STEP = [1.8, 0.6] as const;
const TRIES = 200;

const brightnessOf = (colour: Oklab): number => {
  const { r, g, b } = rgbFromOklab(colour);
  return Math.max(r, g, b);
};

/** Which of two is lighter in value, where their brightness number says the other. */
export const lightness: DrillKind = {
  id: 'lightness against brightness',
  skill: 'value',
  ignoresRegion: true,
  make(making) {
    const { random, difficulty, wheel, screen } = making;
    const step = graded(difficulty, ...STEP);
    const [from, to] = valueRange(screen);
    for (let i = 0; i < TRIES; i++) {
      const value = between(random, from + step, to);
      const light = colourAt(wheel, anyPosition(making), value, between(random, 0.01, 0.08));
      const dark = colourAt(wheel, anyPosition(making), value - step, between(random, 0.12, 0.3));
      if (brightnessOf(dark) < brightnessOf(light) + 0.03) continue;
      const colours = shuffled(random, [light, dark]);
      return {
        shown: { as: 'row', colours },
        form: { by: 'place', right: [valueOfOklab(colours[0]) > valueOfOklab(colours[1]) ? 0 : 1] },
        about: dark,
        isEstimate: false,
      };
    }
    return null;
  },
};
