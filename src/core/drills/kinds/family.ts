import { NEUTRAL_CHROMA } from '../../colour/intensity';
import { familyOf } from '../../colour/wheel';
import { graded, shownOf, wantedColour } from '../making';
import type { DrillKind } from '../question';

/** The dullest colour whose family is asked, and the nearest to the boundary of two (1), from the easiest to the hardest. */
const CHROMA = [0.12, NEUTRAL_CHROMA + 0.012] as const;
const LEAN = [0.3, 0.75] as const;

/** The family of a colour. Near a boundary two families could be defended: it isn't asked there. */
export const family: DrillKind = {
  id: 'family',
  skill: 'family',
  make(making) {
    const { difficulty, wheel } = making;
    const lean = graded(difficulty, ...LEAN);
    const colour = wantedColour(making, {
      chroma: [graded(difficulty, ...CHROMA), 0.3],
      suits: (one) => familyOf(one, wheel).lean <= lean,
    });
    if (!colour) return null;
    return {
      shown: shownOf(making, colour),
      form: { by: 'word', words: wheel.families, right: [familyOf(colour, wheel).index] },
      about: colour,
      isEstimate: false,
    };
  },
};
