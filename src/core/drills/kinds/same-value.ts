import { valueOfOklab } from '../../colour/value';
import { wheelPosition } from '../../colour/wheel';
import {
  anyPosition,
  between,
  chromaOf,
  colourAt,
  graded,
  shuffled,
  wantedColour,
} from '../making';
import type { DrillKind } from '../question';

/** By how much the values of the wrong ones differ at least. */
const STEP = [1.8, 0.6] as const;
/** How many families away the choices lie at least. */
const AWAY = 3;

/** Which colour of another hue has the same value. */
export const sameValue: DrillKind = {
  id: 'same value, other hue',
  skill: 'value',
  make(making) {
    const { random, wheel, difficulty, eyes = 'all hues' } = making;
    const step = graded(difficulty, ...STEP);
    const colour = wantedColour(making, { chroma: [0.04, 0.2], room: step * 1.2 });
    if (!colour) return null;
    const value = valueOfOklab(colour);
    const own = wheelPosition(wheel.hueOf(colour), wheel);
    const count = wheel.families.length;
    // Of two hues that eyes part one is always far from the other: where few are seen, any may come.
    const positionAway = () =>
      eyes === 'all hues' ? own + between(random, AWAY, count - AWAY) : anyPosition(making);
    const offs = shuffled(random, [0, step, -step, (random() < 0.5 ? -1.15 : 1.15) * step]);
    const colours = offs.map((off) =>
      colourAt(
        wheel,
        positionAway(),
        value + off,
        between(random, 0.04, Math.max(0.08, chromaOf(colour))),
      ),
    );
    return {
      shown: { as: 'patch', colour },
      form: { by: 'colour', colours, right: [offs.indexOf(0)] },
      about: colour,
      isEstimate: false,
    };
  },
};
