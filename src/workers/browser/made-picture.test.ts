import fc from 'fast-check';
import { oklabFromBytes, type Bytes } from '@/core/colour/hex';
import { oklabDistance } from '@/core/colour/oklab';
import { anySrgb, paintedBy } from '@/core/testing';
import { randomFrom } from '@/core/seeded';
import { MOOD_SETTINGS, MOODS } from '@/core/transfer/moods';
import { SCHEMES } from '@/core/measure/harmony';
import type { Picture } from '@/core/picture/picture';
import type { MadeQuery } from '@/contracts/desk-query/transfer-queries';
import { deriveImages } from './derived-images';
import { madePicture, pictureOfSize } from './made-picture';
import { transferAnswers } from './transfer-answers';

const values = { zones: 4, breaks: 'natural' as const, thresholds: [], squint: 0.008 };

/** Pictures as nobody means them: tiny, a line, of one colour, noise, half transparent, all black. */
const ODD: Record<string, () => Picture> = {
  'one pixel': () => paintedBy(1, 1, () => [120, 60, 200]),
  'a line': () => paintedBy(200, 1, (x) => [x, 255 - x, 90]),
  'one colour': () => paintedBy(60, 40, () => [90, 120, 60]),
  'all black': () => paintedBy(60, 40, () => [0, 0, 0]),
  'all white': () => paintedBy(60, 40, () => [255, 255, 255]),
  noise: () => {
    const random = randomFrom(3);
    return paintedBy(
      90,
      70,
      () => [0, 0, 0].map(() => Math.floor(random() * 256)) as unknown as Bytes,
    );
  },
  'half transparent': () => {
    const picture = paintedBy(80, 60, (x, y) => [x * 3, y * 4, 120]);
    for (let p = 0; p < 80 * 60; p++) if (p % 80 < 40) picture.data[p * 4 + 3] = 0;
    return picture;
  },
};

const alphaOf = ({ data }: Picture) => data.filter((_, at) => at % 4 === 3);

const transfer = (count: number, seed: number) => {
  const random = randomFrom(seed);
  const [colour] = fc.sample(anySrgb, { numRuns: 1, seed });
  return {
    colours: Array.from({ length: count }, (_, i) => ({
      colour: { ...colour, L: (i + 0.5) / count },
      share: i % 3 === 0 ? null : random(),
      height: i % 2 === 0 ? null : random(),
    })),
    held: [
      { x: 0.2, y: 0.4, colour: 0 },
      { x: 9, y: -3, colour: count - 1 },
    ],
    prominence: Array.from({ length: count }, (_, i) => (i % 3) - 1),
    values,
    parts: [],
  };
};

describe.each(Object.keys(ODD))('of a picture of %s', (name) => {
  const picture = ODD[name]();
  const images = deriveImages(picture, (strokes) => [...strokes]);
  const sources = { working: picture, images };
  const made = { size: 'whole' as const, grey: false };
  const queries: MadeQuery[] = [
    ...[1, 2, 64].flatMap((count) =>
      (['held', 'strict'] as const).map((mode): MadeQuery => ({
        kind: 'transferred',
        ...transfer(count, count),
        way: 'as in the source',
        mode,
        parts: [],
        ...made,
      })),
    ),
    ...MOODS.map((mood): MadeQuery => ({
      kind: 'mood',
      settings: MOOD_SETTINGS[mood],
      squint: 0.008,
      marks: [],
      parts: [],
      ...made,
    })),
    {
      kind: 'whatIf',
      moves: [{ x: 0.7, y: 0.5, moves: { value: 6, warmth: -6, chroma: 6, distance: -6 } }],
      squint: 0.008,
      parts: [],
      ...made,
    },
    ...SCHEMES.map((scheme): MadeQuery => ({
      kind: 'oneKey',
      key: { hue: 200, scheme, degree: 1, keepsSkin: false, keepsNeutrals: false },
      wheel: 'screen',
      parts: [],
      ...made,
    })),
  ];

  it('something is made of the same size, what is transparent as it was, at every size and in grey', () => {
    for (const query of queries)
      for (const size of ['whole', 'half', 'small'] as const) {
        const from = pictureOfSize(images, { size });
        const result = madePicture(images, { ...query, size }, from);
        expect([result.width, result.height]).toEqual([from.width, from.height]);
        expect(alphaOf(result)).toEqual(alphaOf(from));
        expect(result.data).not.toBe(from.data);
        if (size !== 'small') continue;
        const grey = madePicture(images, { ...query, size, grey: true }, from);
        expect(grey.data.length).toBe(result.data.length);
      }
  });

  it('everything is answered', () => {
    const query = { ...transfer(5, 1), way: 'by value' as const };
    const parts = { mode: 'held' as const };
    const figures = transferAnswers.transferFigures(
      { kind: 'transferFigures', ...query, ...parts },
      sources,
    );
    expect(figures.mean).toBeLessThan(1);
    const plan = transferAnswers.massPlan(
      { kind: 'massPlan', ...query, ...parts, within: 0.5, order: 'light first' },
      sources,
    );
    expect(plan.masses.length).toBeGreaterThan(0);
    for (const { place } of plan.masses) expect(Number.isFinite(place.x + place.y)).toBe(true);
    expect(
      transferAnswers.echo({ kind: 'echo', ...query, colour: 2, within: 0.5 }, sources).length,
    ).toBeLessThanOrEqual(3);
    const mood = { settings: MOOD_SETTINGS.fog, squint: 0.008, marks: [], parts: [] };
    expect(
      transferAnswers.moodEffect({ kind: 'moodEffect', ...mood }, sources).palette.length,
    ).toBeGreaterThan(0);
    const what = {
      moves: [{ x: 0.7, y: 0.5, moves: { value: 2, warmth: 0, chroma: 0, distance: 0 } }],
      squint: 0.008,
      parts: [],
      place: { x: 0.7, y: 0.5 },
    };
    const effect = transferAnswers.whatIfEffect({ kind: 'whatIfEffect', ...what }, sources);
    if (effect)
      expect(Number.isFinite(effect.depth + effect.focus[1] + effect.steps[1])).toBe(true);
  });
});

it('a picture of which nothing is seen is left as it is', () => {
  const empty = paintedBy(40, 30, () => [10, 20, 30]);
  for (let at = 3; at < empty.data.length; at += 4) empty.data[at] = 0;
  const images = deriveImages(empty, (strokes) => [...strokes]);
  const query = {
    kind: 'transferred' as const,
    ...transfer(3, 2),
    way: 'by value' as const,
    mode: 'held' as const,
    size: 'whole' as const,
    grey: false,
  };
  expect(madePicture(images, query, empty).data).toEqual(empty.data);
});

describe('a sky that turns slowly', () => {
  /** From deep blue down to a warm horizon, above two hills and a field. */
  const picture = paintedBy(360, 240, (x, y) => {
    if (y > 190) return [88, 104, 52];
    if (y > 165 - 12 * Math.sin(x / 40)) return [92, 104, 128];
    const t = y / 170;
    return [70 + 165 * t, 110 + 105 * t, 190 + 10 * t].map(Math.round) as unknown as Bytes;
  });
  const images = deriveImages(picture, (strokes) => [...strokes]);
  /** The largest step of OKLab from row to row of the sky, over three rows: a byte's rounding is less. */
  const largestStep = ({ data, width }: Picture) => {
    let most = 0;
    for (let x = 10; x < width; x += 25)
      for (let y = 3; y < 140; y++) {
        const [one, other] = [y - 3, y].map((row) =>
          oklabFromBytes(
            data.slice((row * width + x) * 4, (row * width + x) * 4 + 3) as unknown as Bytes,
          ),
        );
        most = Math.max(most, oklabDistance(one, other));
      }
    return most;
  };

  it.each(MOODS)('has no break in %s', (mood) => {
    const result = madePicture(
      images,
      {
        kind: 'mood',
        settings: MOOD_SETTINGS[mood],
        squint: 0.008,
        marks: [],
        parts: [],
        size: 'whole',
        grey: false,
      },
      picture,
    );
    expect(largestStep(result)).toBeLessThan(2 * largestStep(picture));
  });
});
