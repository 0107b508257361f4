import { temperature as temperatureOf } from '../../colour/temperature';
import { valueOfOklab } from '../../colour/value';
import { between, chromaOf, colourAt, graded, shuffled, wantedColour } from '../making';
import type { DrillKind } from '../question';

/** By how much two temperatures differ. */
const APART = [1.4, 0.25] as const;
/** So often a partner is sought for a colour. */
const TRIES = 60;

/** Which of two of one value is the warmer. */
export const temperature: DrillKind = {
  id: 'temperature',
  skill: 'temperature',
  make(making) {
    const { random, wheel, difficulty } = making;
    const one = wantedColour(making, { chroma: [0.03, 0.14] });
    if (!one) return null;
    const apart = graded(difficulty, ...APART);
    for (let i = 0; i < TRIES; i++) {
      const position = between(random, 0, wheel.families.length);
      const chroma = between(random, 0.02, Math.max(0.15, chromaOf(one)));
      const other = colourAt(wheel, position, valueOfOklab(one), chroma);
      const off = Math.abs(temperatureOf(one) - temperatureOf(other));
      if (off < apart || off > apart * 1.5) continue;
      const colours = shuffled(random, [one, other]);
      const warmer = temperatureOf(colours[0]) > temperatureOf(colours[1]) ? 0 : 1;
      return {
        shown: { as: 'row', colours },
        form: { by: 'place', right: [warmer] },
        about: one,
        isEstimate: false,
      };
    }
    return null;
  },
};
