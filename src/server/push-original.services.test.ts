import sharp from 'sharp';
import { oklabFromBytes, type Bytes } from '@/core/colour/hex';
import { DEFAULT_HIDDEN } from '@/contracts/hidden';
import type { PushRequest } from '@/contracts/push-request';
import { importPicture } from './pictures/import-picture';
import { pushOriginal } from './pictures/push-original';
import { getStudy } from './studies/studies';
import { freshDatabase } from './testing/test-database';

let end: () => Promise<void>;
let studyId: string;
const WIDTH = 2000;
const HEIGHT = 700;

/** Larger than a working copy: a warm grey, cooler on the right. */
async function fog(): Promise<Buffer> {
  const cool = { create: { width: 600, height: 700, channels: 3 as const, background: '#a8aab2' } };
  return sharp({ create: { width: WIDTH, height: HEIGHT, channels: 3, background: '#aeaaa6' } })
    .composite([{ input: await sharp(cool).png().toBuffer(), left: 1400, top: 0 }])
    .jpeg({ quality: 90, chromaSubsampling: '4:4:4' })
    .toBuffer();
}

beforeAll(async () => {
  end = await freshDatabase();
  const brought = await importPicture(await fog(), 'fog.jpg');
  if (brought.kind !== 'new') throw new Error('expected a new study');
  studyId = brought.studyId;
});
afterAll(() => end());

const order = (part: Partial<PushRequest['settings']> = {}): PushRequest => ({
  settings: {
    push: DEFAULT_HIDDEN.push,
    kept: DEFAULT_HIDDEN.kept,
    parts: [],
    only: { kind: 'all' },
    values: { zones: 4, breaks: 'natural', thresholds: [], squint: 0.01 },
    corrections: [],
    ...part,
  },
  framing: { angle: 0, crop: null },
  neutral: null,
});
const chromaAt = async (png: Uint8Array, left: number, top = 300) => {
  const pixel = await sharp(png).extract({ left, top, width: 1, height: 1 }).raw().toBuffer();
  const { a, b } = oklabFromBytes(Array.from(pixel.subarray(0, 3)) as unknown as Bytes);
  return Math.hypot(a, b);
};

describe('a picture pushed at the size it came in', () => {
  it('is PNG of that size, with its quiet colours up, told step by step', async () => {
    const steps: [string, number][] = [];
    const { png, width, height } = await pushOriginal(studyId, order(), (...step) => {
      steps.push(step);
    });
    expect([width, height]).toEqual([WIDTH, HEIGHT]);
    const { format, space, hasProfile, ...size } = await sharp(png).metadata();
    expect([format, space, size.width, size.height]).toEqual(['png', 'srgb', WIDTH, HEIGHT]);
    expect(hasProfile).toBe(true);
    expect(await chromaAt(png, 1900)).toBeGreaterThan(0.03);
    expect(await chromaAt(png, 300)).toBeLessThan(0.015);
    expect([...new Set(steps.map(([step]) => step))]).toEqual(['reading', 'making', 'writing']);
    const shares = steps.filter(([step]) => step === 'making').map(([, share]) => share);
    expect(shares.length).toBeGreaterThan(4);
    expect(shares).toEqual([...shares].sort((one, other) => one - other));
    expect(shares.at(-1)).toBe(1);
  });

  it('keeps its crop, and what is protected', async () => {
    const crop = { x: 0.2, y: 0, width: 0.8, height: 1 };
    const parts = [
      { id: 'p', tool: 'brush' as const, radius: 0.05, points: [{ x: 0.95, y: 0.45 }] },
    ];
    const { png, width } = await pushOriginal(
      studyId,
      { ...order({ parts }), framing: { angle: 0, crop } },
      () => undefined,
    );
    expect(width).toBe(0.8 * WIDTH);
    expect(await chromaAt(png, 1500, 315)).toBeLessThan(0.02);
    expect(await chromaAt(png, 1100, 315)).toBeGreaterThan(0.03);
    const shadows = await pushOriginal(
      studyId,
      order({ only: { kind: 'side', side: 'shadow' }, parts: [] }),
      () => undefined,
    );
    // The cooler part is a little darker: it is the shadow here.
    expect(await chromaAt(shadows.png, 1900)).toBeGreaterThan(0.03);
  });

  it('can be stopped, and is refused for a study that is not here', async () => {
    const stop = new AbortController();
    const begun = pushOriginal(
      studyId,
      order(),
      (step) => step === 'making' && stop.abort(),
      stop.signal,
    );
    await expect(begun).rejects.toThrow();
    const nowhere = pushOriginal('5f2b6c1e-8f63-4a0f-9a50-000000000000', order(), () => undefined);
    await expect(nowhere).rejects.toMatchObject({ code: 'not-found' });
  });

  it('comes with the quality of its JPEG in the picture’s facts', async () => {
    const { picture } = await getStudy(studyId);
    expect(picture.quality).toBeGreaterThanOrEqual(88);
    expect(picture.quality).toBeLessThanOrEqual(92);
  });
});
