import { valueOfOklab } from '../../colour/value';
import { graded, shownOf, wantedColour } from '../making';
import type { DrillKind } from '../question';

/** Steps that a right answer may be off. People can't tell value better than the last beside an easel. */
const WITHIN = [1.25, 0.25] as const;

/** The value of a colour: any colour, since strong ones are misread most. */
export const value: DrillKind = {
  id: 'value',
  skill: 'value',
  weight: 6,
  make(making) {
    const colour = wantedColour(making, { chroma: [0, 0.4] });
    if (!colour) return null;
    const within = graded(making.difficulty, ...WITHIN);
    return {
      shown: shownOf(making, colour),
      form: { by: 'value', value: valueOfOklab(colour), within },
      about: colour,
      isEstimate: false,
    };
  },
};
