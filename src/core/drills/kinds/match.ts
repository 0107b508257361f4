import { between, chromaOf, colourAt, graded, valueRange, wantedColour } from '../making';
import type { DrillKind } from '../question';

/** What a match may be off: steps of value, a share of the chroma and at least so much of it, families. */
const VALUE = [0.8, 0.25] as const;
const CHROMA_SHARE = [0.35, 0.15] as const;
const MIN_CHROMA = 0.008;
const FAMILIES = [1, 0.35] as const;

/** A colour to match by sliders: value first, then intensity, then family. */
export const match: DrillKind = {
  id: 'match',
  skill: 'match',
  make(making) {
    const { random, wheel, difficulty, screen } = making;
    const colour = wantedColour(making, { chroma: [0.03, 0.2] });
    if (!colour) return null;
    const start = colourAt(
      wheel,
      between(random, 0, wheel.families.length),
      between(random, ...valueRange(screen)),
      between(random, 0.02, 0.12),
    );
    return {
      shown: { as: 'patch', colour },
      form: {
        by: 'match',
        colour,
        start,
        within: {
          value: graded(difficulty, ...VALUE),
          chroma: Math.max(MIN_CHROMA, graded(difficulty, ...CHROMA_SHARE) * chromaOf(colour)),
          families: graded(difficulty, ...FAMILIES),
        },
      },
      about: colour,
      isEstimate: false,
    };
  },
};
