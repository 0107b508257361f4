import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { MOOD_SETTINGS } from '@/core/transfer/moods';
import { deskQuerySchema } from '@/contracts/desk-query/desk-query';
import { paintedBy } from '@/core/testing';
import { deriveImages } from './derived-images';
import { transferAnswers } from './transfer-answers';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const SQUINT = 0.008;
const values = { zones: 3, breaks: 'natural' as const, thresholds: [], squint: SQUINT };
/** A light sky over a dark field. */
const picture = paintedBy(120, 80, (_, y) => (y < 40 ? [190, 205, 225] : [70, 80, 50]));
const sources = {
  working: picture,
  images: deriveImages(picture, (strokes) => [...strokes]),
};
const colours = [of('#2b3340'), of('#e3d2b0')];
const offered = colours.map((colour) => ({ colour, share: null, height: null }));
const masses = transferAnswers.subject({ kind: 'subject', squint: SQUINT }, sources);
const best = () =>
  transferAnswers.proposals(
    { kind: 'proposals', squint: SQUINT, colours: offered, locks: masses.map(() => -1) },
    sources,
  )[0].of;

it('light goes on light and dark on dark, and a lock is kept', () => {
  const sky = transferAnswers.massAt(
    { kind: 'massAt', squint: SQUINT, place: { x: 0.5, y: 0.2 } },
    sources,
  )!;
  expect(best()[sky]).toBe(1);
  const locks = masses.map((_, mass) => (mass === sky ? 0 : -1));
  for (const { of: chosen } of transferAnswers.proposals(
    { kind: 'proposals', squint: SQUINT, colours: offered, locks },
    sources,
  ))
    expect(chosen[sky]).toBe(0);
});

it('the picture has the size that is wanted, whole or half, and its values hold', () => {
  const query = { kind: 'transferred', colours, of: best(), mode: 'held', values } as const;
  const whole = transferAnswers.transferred({ ...query, quick: false }, sources);
  const quick = transferAnswers.transferred({ ...query, quick: true }, sources);
  expect([whole.width, whole.height]).toEqual([120, 80]);
  expect(quick.width).toBeLessThanOrEqual(60);
  const figures = transferAnswers.transferFigures({ ...query, kind: 'transferFigures' }, sources);
  expect(figures.mean).toBeLessThan(0.5);
  expect(figures.zones).toBeGreaterThan(0.98);
  expect(figures.missed).toBe(0);
  // What is handed over is a copy.
  whole.data.fill(0);
  expect(transferAnswers.transferred({ ...query, quick: false }, sources).data[3]).toBe(255);
  // An assignment of another picture is read as far as it goes.
  expect(
    transferAnswers.transferred({ ...query, of: [9], quick: true }, sources).data.length,
  ).toBeGreaterThan(0);
});

it('a mood darkens, at half the size as in the whole', () => {
  const query = { settings: MOOD_SETTINGS.moonlight, squint: SQUINT };
  const { median } = transferAnswers.moodEffect({ kind: 'moodEffect', ...query }, sources);
  expect(median[1]).toBeLessThan(median[0] - 1);
  const [whole, half] = [false, true].map((quick) =>
    transferAnswers.mood({ kind: 'mood', ...query, quick }, sources),
  );
  expect(whole.width).toBe(120);
  expect(Math.abs(whole.data[0] - half.data[0])).toBeLessThan(4);
});

it('queries that make no sense are refused', () => {
  const query = { kind: 'transferred', colours, of: [0], mode: 'held', values, quick: false };
  expect(deskQuerySchema.safeParse(query).success).toBe(true);
  for (const bad of [{ colours: [] }, { mode: 'glossy' }, { of: [-2] }, { of: [0.5] }])
    expect(deskQuerySchema.safeParse({ ...query, ...bad }).success).toBe(false);
  const mood = { kind: 'mood', settings: MOOD_SETTINGS.fog, squint: SQUINT, quick: true };
  expect(deskQuerySchema.safeParse(mood).success).toBe(true);
  expect(
    deskQuerySchema.safeParse({ ...mood, settings: { ...MOOD_SETTINGS.fog, key: 99 } }).success,
  ).toBe(false);
});
