import sharp from 'sharp';
import { MOOD_SETTINGS } from '@/core/transfer/moods';
import { oklabFromBytes, oklabFromHex, type Bytes } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import type { MadeQuery } from '@/contracts/desk-query/transfer-queries';
import { DEFAULT_USE } from '@/contracts/use';
import { importPicture } from './pictures/import-picture';
import { makeOriginal } from './pictures/make-original';
import { freshDatabase } from './testing/test-database';

let end: () => Promise<void>;
let studyId: string;
const WIDTH = 2100;
const HEIGHT = 900;

/** Larger than a working copy: a light sky over a dark field. */
beforeAll(async () => {
  end = await freshDatabase();
  const field = {
    create: { width: WIDTH, height: 450, channels: 3 as const, background: '#465032' },
  };
  const bytes = await sharp({
    create: { width: WIDTH, height: HEIGHT, channels: 3, background: '#becde1' },
  })
    .composite([{ input: await sharp(field).png().toBuffer(), left: 0, top: 450 }])
    .png()
    .toBuffer();
  const brought = await importPicture(bytes, 'field.png');
  if (brought.kind !== 'new') throw new Error('expected a new study');
  studyId = brought.studyId;
});
afterAll(() => end());

const made = { size: 'whole' as const, grey: false };
const SKY_LOOP = {
  id: 'sky',
  tool: 'lasso' as const,
  radius: 0,
  points: [
    { x: -0.1, y: -0.1 },
    { x: 0.5, y: -0.1 },
    { x: 0.5, y: 0.4 },
    { x: -0.1, y: 0.4 },
  ],
};
const QUERIES: Record<string, MadeQuery> = {
  'other colours': {
    kind: 'transferred',
    colours: ['#8a4a32', '#e3d2b0'].map((hex) => ({
      colour: oklabFromHex(hex) as Oklab,
      share: null,
      height: null,
    })),
    held: [],
    prominence: [],
    values: { zones: 4, breaks: 'natural', thresholds: [], squint: 0.008 },
    way: 'by value',
    mode: 'held',
    parts: [SKY_LOOP],
    ...made,
  },
  mood: {
    kind: 'mood',
    settings: MOOD_SETTINGS.dusk,
    squint: 0.008,
    marks: [],
    parts: [SKY_LOOP],
    ...made,
  },
  'what if': {
    kind: 'whatIf',
    moves: [
      { x: 0.5, y: 0.2, moves: { value: -3, warmth: 0, chroma: 0, distance: 0 } },
      { x: 0.5, y: 0.8, moves: { value: 3, warmth: 0, chroma: 0, distance: 0 } },
    ],
    squint: 0.008,
    parts: [SKY_LOOP],
    ...made,
  },
  'one key': {
    kind: 'oneKey',
    key: { ...DEFAULT_USE.key, degree: 1, keepsNeutrals: false, keepsSkin: false, hue: 20 },
    wheel: 'painters',
    parts: [SKY_LOOP],
    ...made,
  },
};
const pixel = async (png: Uint8Array, left: number, top: number) => {
  const raw = await sharp(png).extract({ left, top, width: 1, height: 1 }).raw().toBuffer();
  return [...raw.subarray(0, 3)] as unknown as Bytes;
};

describe('a picture made at the size it came in', () => {
  it.each(Object.keys(QUERIES))('in %s', async (kind) => {
    const steps: string[] = [];
    const { png, width, height } = await makeOriginal(
      studyId,
      { query: QUERIES[kind], framing: { angle: 0, crop: null }, neutral: null },
      (step) => steps.push(step),
    );
    expect([width, height]).toEqual([WIDTH, HEIGHT]);
    expect(steps).toEqual(['reading', 'making', 'writing']);
    // What is looped out keeps its bytes, the rest does not.
    expect(await pixel(png, 400, 150)).toEqual([0xbe, 0xcd, 0xe1]);
    expect(await pixel(png, 1800, 150)).not.toEqual([0xbe, 0xcd, 0xe1]);
    expect(await pixel(png, 1800, 700)).not.toEqual([0x46, 0x50, 0x32]);
    if (kind === 'other colours' || kind === 'one key')
      expect(
        Math.abs(
          valueOfOklab(oklabFromBytes(await pixel(png, 1800, 700))) -
            valueOfOklab(oklabFromBytes([0x46, 0x50, 0x32])),
        ),
      ).toBeLessThan(0.1);
  });

  it('keeps its crop', async () => {
    const crop = { x: 0.5, y: 0, width: 0.5, height: 1 };
    const { width } = await makeOriginal(
      studyId,
      { query: QUERIES.mood, framing: { angle: 0, crop }, neutral: null },
      () => undefined,
    );
    expect(width).toBe(WIDTH / 2);
  });

  it('is none of a study that is not here, and stops when it is told', async () => {
    const order = { query: QUERIES.mood, framing: { angle: 0, crop: null }, neutral: null };
    await expect(
      makeOriginal('3f8e7a34-0000-4000-8000-000000000000', order, () => undefined),
    ).rejects.toThrow(/study/);
    const stop = new AbortController();
    await expect(
      makeOriginal(studyId, order, (step) => step === 'making' && stop.abort(), stop.signal),
    ).rejects.toThrow(/abort/i);
  });
});
