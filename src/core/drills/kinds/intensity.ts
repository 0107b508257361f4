import { INTENSITY_LIMITS, INTENSITY_WORDS, intensityWord } from '../../colour/intensity';
import { chromaOf, graded, shownOf, wantedColour } from '../making';
import type { DrillKind } from '../question';

/** How far from where two words part, as a share of the chroma there. */
const AWAY = [0.3, 0.1] as const;

/** How intense a colour is, in words. */
export const intensity: DrillKind = {
  id: 'intensity',
  skill: 'intensity',
  make(making) {
    const away = graded(making.difficulty, ...AWAY);
    const colour = wantedColour(making, {
      chroma: [0, 0.3],
      suits: (one) =>
        INTENSITY_LIMITS.every((limit) => Math.abs(chromaOf(one) - limit) >= away * limit),
    });
    if (!colour) return null;
    return {
      shown: shownOf(making, colour),
      form: {
        by: 'word',
        words: INTENSITY_WORDS,
        right: [INTENSITY_WORDS.indexOf(intensityWord(chromaOf(colour)))],
      },
      about: colour,
      isEstimate: false,
    };
  },
};
