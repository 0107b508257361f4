import { leadingFits, readHarmony, schemeSectors, SCHEMES } from '../../measure/harmony';
import { partsOfAreas, type Area } from '../field';
import { between, colourAt, graded, oneOf, shuffled, valueRange } from '../making';
import type { DrillKind } from '../question';

/** How strong a field's colours are, and how many schemes there are to choose from. */
const CHROMA = [0.14, 0.07] as const;
const WORDS = 4;
const AREAS = 9;
const TRIES = 30;

/** The scheme of a made-up picture. Where several fit it about as well, any of them is right. */
export const scheme: DrillKind = {
  id: 'the scheme',
  skill: 'whole',
  make({ random, difficulty, wheel, screen }) {
    const count = wheel.families.length;
    const [from, to] = valueRange(screen);
    for (let i = 0; i < TRIES; i++) {
      const name = oneOf(random, SCHEMES);
      const turn = between(random, 0, count);
      const sectors = schemeSectors(name);
      const areas = Array.from({ length: AREAS }, (_, k): Area => {
        const { centre, half } = sectors[k % sectors.length];
        const position = turn + ((centre + between(random, -0.8, 0.8) * half) / 360) * count;
        const chroma = graded(difficulty, ...CHROMA) * between(random, 0.8, 1.2);
        return {
          colour: colourAt(wheel, position, between(random, from, to), chroma),
          share: (k % sectors.length === 0 ? 1.6 : 1) / AREAS,
        };
      });
      const { fits } = readHarmony(partsOfAreas(areas), wheel);
      const leading = leadingFits(fits).map((fit) => fit.scheme);
      // Where three and more fit none is plain.
      if (leading.length === 0 || leading.length > 2 || !leading.includes(name)) continue;
      const others = shuffled(
        random,
        SCHEMES.filter((other) => !leading.includes(other)),
      ).slice(0, WORDS - 1);
      const words = shuffled(random, [name, ...others]);
      const all = areas.reduce((sum, { share }) => sum + share, 0);
      return {
        shown: {
          as: 'field',
          areas: shuffled(random, areas).map(({ colour, share }) => ({
            colour,
            share: share / all,
          })),
        },
        form: { by: 'word', words, right: [words.indexOf(name)] },
        about: areas[0].colour,
        isEstimate: false,
      };
    }
    return null;
  },
};
