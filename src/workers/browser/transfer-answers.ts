import { wheelOf } from '@/core/colour/wheel';
import { valueOfOklab } from '@/core/colour/value';
import { MASS_CELLS } from '@/core/measure/masses';
import { zoneEdges } from '@/core/measure/zones';
import { extractPalette } from '@/core/palette/extract';
import { sampledBlocks } from '@/core/picture/blocks';
import { colourGrid } from '@/core/picture/colour-grid';
import type { Picture } from '@/core/picture/picture';
import { echoPlaces } from '@/core/transfer/echo';
import { heldValues } from '@/core/transfer/figures';
import { keyEffect } from '@/core/transfer/key-effect';
import { moodEffect } from '@/core/transfer/moods';
import { planMasses } from '@/core/transfer/plan-masses';
import { freeOf } from '@/core/transfer/subject';
import { whatIfEffect } from '@/core/transfer/what-if-effect';
import type { QueryOf } from '@/contracts/desk-query/desk-query';
import type { Answers, Sources } from './answer';
import { hatching } from './hatching';
import {
  chosenOf,
  keptIn,
  madePicture,
  massesOf,
  massOf,
  moodIn,
  pictureOfSize,
  proposalsIn,
  subjectIn,
  transferredPicture,
} from './made-picture';

/** Colours that are shown of a mood. */
const MOOD_COLOURS = 7;

const made = (
  query: QueryOf<'transferred' | 'mood' | 'whatIf' | 'oneKey'>,
  { images }: Sources,
): Picture => madePicture(images, query, pictureOfSize(images, query));

const massGrid = (picture: Picture) => colourGrid(picture, sampledBlocks(picture), MASS_CELLS);

/** What the step Use is answered. */
export const transferAnswers = {
  transferred: made,
  mood: made,
  whatIf: made,
  oneKey: made,

  subject: ({ squint }, { images }) => subjectIn(images, squint).masses,
  massAt: ({ squint, place }, { images }) => massOf(subjectIn(images, squint), place),
  massesAt: ({ squint, places }, { images }) => massesOf(images, squint, places),
  proposals: (query, { images }) =>
    proposalsIn(images, query).map(({ kind, of }) => ({ kind, of })),

  transferFigures(query, { images }) {
    const { picture, missed, missing } = transferredPicture(images, query);
    const edges = zoneEdges(images.plain().counts, query.values);
    return { ...heldValues(images.picture, picture, edges), missed, missing };
  },

  unreached(query, { images }) {
    const { picture, unreached } = transferredPicture(images, { ...query, mode: 'strict' });
    const { width, height, data } = picture;
    const { data: hatch } = hatching(unreached!, width, height, 0);
    for (let at = 0; at < data.length; at += 4)
      if (hatch[at + 3] > 0) data.set(hatch.subarray(at, at + 4), at);
    return picture;
  },

  echo({ colour, within, ...query }, { images }) {
    const { masses, borders: _ } = images.masses(query.values.squint);
    const own = chosenOf(images, query).map((of) => of === colour);
    const value = valueOfOklab(query.colours[colour].colour);
    return echoPlaces(masses, massGrid(images.picture), own, value, within);
  },

  massPlan({ within, order, mode, ...query }, { images }) {
    const colours = query.colours.map(({ colour }) => colour);
    const subject = subjectIn(images, query.values.squint);
    const keep = keptIn(images, images.picture, query.parts);
    return planMasses(
      subject,
      colours,
      chosenOf(images, query),
      { half: within, order, isStrict: mode === 'strict' },
      keep && freeOf(subject, keep).free,
    );
  },

  moodEffect(query, { images }) {
    const small = images.half().picture;
    const after = moodIn(images, query, small);
    const { swatches } = extractPalette(after, { count: MOOD_COLOURS });
    return {
      ...moodEffect(small, after),
      palette: swatches.map(({ colour, share }) => ({ colour, share })),
    };
  },

  whatIfEffect({ place, ...query }, { images }) {
    const [mass] = massesOf(images, query.squint, [place]);
    if (mass === null) return null;
    const { masses, borders } = images.masses(query.squint);
    // In the whole, so that its cells are those of the masses; only the pixels of what moves cost anything.
    const whole = { ...query, kind: 'whatIf', size: 'whole', grey: false } as const;
    const after = madePicture(images, whole, images.picture);
    return whatIfEffect(masses, borders, mass, massGrid(images.picture), massGrid(after));
  },

  keyEffect({ key, wheel, parts }, { images }) {
    const small = images.half().picture;
    const query = { kind: 'oneKey', key, wheel, parts, size: 'half', grey: false } as const;
    return keyEffect(small, madePicture(images, query, small), key, wheelOf(wheel));
  },
} satisfies Partial<Answers>;
