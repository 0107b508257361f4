import { readKeyColour } from '../../measure/key-colour';
import { partsOfAreas, type Area } from '../field';
import { between, colourAt, graded, shuffled, valueRange } from '../making';
import type { DrillKind } from '../question';

/** Bands of value that the field has, and how many other families are in each. */
const BANDS = 5;
const OTHERS = [1, 2] as const;
/** How much of a band the key has. */
const SHARE = [0.7, 0.45] as const;
const WORDS = 4;
const TRIES = 12;

/** The colour that turns up from the darks to the lights of a made-up picture, at a glance. */
export const keyColour: DrillKind = {
  id: 'the key at a glance',
  skill: 'whole',
  make({ random, difficulty, wheel, screen }) {
    const count = wheel.families.length;
    const [from, to] = valueRange(screen);
    const part = graded(difficulty, ...SHARE);
    for (let i = 0; i < TRIES; i++) {
      const key = Math.floor(between(random, 0, count));
      const areas: Area[] = [];
      for (let band = 0; band < BANDS; band++) {
        const value = from + ((to - from) * (band + 0.5)) / BANDS;
        const others = Math.round(graded(difficulty, ...OTHERS));
        areas.push({ colour: colourAt(wheel, key, value, 0.09), share: part / BANDS });
        for (let k = 0; k < others; k++)
          areas.push({
            colour: colourAt(wheel, key + between(random, 2.5, count - 2.5), value, 0.08),
            share: (1 - part) / others / BANDS,
          });
      }
      const read = readKeyColour(partsOfAreas(areas), wheel);
      if (read?.family !== wheel.families[key]) continue;
      // Three families apart: a neighbour of the key could be defended.
      const choices = shuffled(
        random,
        Array.from({ length: WORDS }, (_, k) => (key + k * 3) % count),
      );
      return {
        shown: { as: 'field', areas: shuffled(random, areas) },
        form: {
          by: 'word',
          words: choices.map((choice) => wheel.families[choice]),
          right: [choices.indexOf(key)],
        },
        about: read.colour,
        isEstimate: false,
      };
    }
    return null;
  },
};
