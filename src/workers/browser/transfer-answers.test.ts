import { oklabFromBytes, oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { MOOD_SETTINGS } from '@/core/transfer/moods';
import { valueOfOklab } from '@/core/colour/value';
import type { Picture } from '@/core/picture/picture';
import { deskQuerySchema } from '@/contracts/desk-query/desk-query';
import { DEFAULT_USE } from '@/contracts/use';
import { paintedBy } from '@/core/testing';
import { deriveImages } from './derived-images';
import { transferAnswers } from './transfer-answers';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const SQUINT = 0.008;
const values = { zones: 3, breaks: 'natural' as const, thresholds: [], squint: SQUINT };
/** A light sky over a dark field with a red barn. */
const picture = paintedBy(120, 80, (x, y) =>
  y < 40 ? [190, 205, 225] : x > 80 && y < 65 ? [150, 60, 50] : [70, 80, 50],
);
const sources = {
  working: picture,
  images: deriveImages(picture, (strokes) => [...strokes]),
};
const transfer = {
  colours: [of('#2b3340'), of('#e3d2b0'), of('#7a5a4a')].map((colour) => ({
    colour,
    share: null,
    height: null,
  })),
  held: [] as { x: number; y: number; colour: number }[],
  prominence: [],
  values,
  parts: [],
};
const query = { ...transfer, way: 'by value' as const, mode: 'held' as const };
const SKY = { x: 0.5, y: 0.2 };
const BARN = { x: 0.8, y: 0.65 };
const massAt = (place: { x: number; y: number }) =>
  transferAnswers.massAt({ kind: 'massAt', squint: SQUINT, place }, sources)!;
const at = ({ data, width, height }: Picture, { x, y }: { x: number; y: number }) => {
  const i = (Math.floor(y * height) * width + Math.floor(x * width)) * 4;
  return oklabFromBytes([data[i], data[i + 1], data[i + 2]]);
};
const SKY_LOOP = {
  id: 'sky',
  tool: 'lasso' as const,
  radius: 0,
  points: [
    { x: -0.1, y: -0.1 },
    { x: 1.1, y: -0.1 },
    { x: 1.1, y: 0.3 },
    { x: -0.1, y: 0.3 },
  ],
};

it('light goes on light and dark on dark, and a held mass stays', () => {
  const proposals = (held: typeof transfer.held) =>
    transferAnswers.proposals({ kind: 'proposals', ...transfer, held }, sources);
  expect(proposals([])[0].of[massAt(SKY)]).toBe(1);
  for (const { of: chosen } of proposals([{ ...SKY, colour: 0 }]))
    expect(chosen[massAt(SKY)]).toBe(0);
  // Of two that hold one mass the later counts.
  const both = [
    { ...SKY, colour: 0 },
    { x: 0.2, y: 0.1, colour: 2 },
  ];
  expect(proposals(both)[0].of[massAt(SKY)]).toBe(2);
  expect(
    transferAnswers.massesAt(
      { kind: 'massesAt', squint: SQUINT, places: [SKY, { x: 3, y: 3 }] },
      sources,
    ),
  ).toEqual([massAt(SKY), null]);
});

it('the picture has the size that is wanted, and its values hold', () => {
  const made = (size: 'whole' | 'half' | 'small', grey = false) =>
    transferAnswers.transferred({ kind: 'transferred', ...query, size, grey }, sources);
  const whole = made('whole');
  expect([whole.width, whole.height]).toEqual([120, 80]);
  expect(made('half').width).toBeLessThanOrEqual(60);
  expect(made('small').width).toBeLessThanOrEqual(30);
  const grey = made('whole', true);
  expect(grey.data[0]).toBe(grey.data[2]);
  const figures = transferAnswers.transferFigures({ kind: 'transferFigures', ...query }, sources);
  expect(figures.mean).toBeLessThan(0.5);
  expect(figures.zones).toBeGreaterThan(0.98);
  expect(figures.missed).toBe(0);
  // What is handed over is a copy.
  whole.data.fill(0);
  expect(made('whole').data[3]).toBe(255);
  const none = { ...DEFAULT_USE.key, degree: 0 };
  const same = transferAnswers.oneKey(
    { kind: 'oneKey', key: none, wheel: 'painters', parts: [], size: 'whole', grey: false },
    sources,
  );
  same.data.fill(0);
  expect(picture.data[3]).toBe(255);
});

describe('looped parts keep their bytes', () => {
  const made = { size: 'whole' as const, grey: false };
  const parts = [SKY_LOOP];
  const kinds = {
    held: () =>
      transferAnswers.transferred({ kind: 'transferred', ...query, parts, ...made }, sources),
    strict: () =>
      transferAnswers.transferred(
        { kind: 'transferred', ...query, mode: 'strict', parts, ...made },
        sources,
      ),
    mood: () =>
      transferAnswers.mood(
        { kind: 'mood', settings: MOOD_SETTINGS.lamp, squint: SQUINT, marks: [], parts, ...made },
        sources,
      ),
    'what if': () =>
      transferAnswers.whatIf(
        {
          kind: 'whatIf',
          moves: [{ ...SKY, moves: { value: -4, warmth: 0, chroma: 0, distance: 0 } }],
          squint: SQUINT,
          parts,
          ...made,
        },
        sources,
      ),
    'one key': () =>
      transferAnswers.oneKey(
        {
          kind: 'oneKey',
          key: { ...DEFAULT_USE.key, hue: 30, degree: 1, keepsNeutrals: false, keepsSkin: false },
          wheel: 'painters',
          parts,
          ...made,
        },
        sources,
      ),
  };
  it.each(Object.keys(kinds) as (keyof typeof kinds)[])('%s', (kind) => {
    const { data } = kinds[kind]();
    const rows = 120 * 20 * 4;
    expect(data.subarray(0, rows)).toEqual(picture.data.subarray(0, rows));
    const rest = (of: Uint8ClampedArray) => of.subarray(120 * 30 * 4);
    expect(rest(data)).not.toEqual(rest(picture.data));
  });
});

it('what is looped out weighs nothing, and what the palette has no value for is hatched', () => {
  const parts = [SKY_LOOP];
  const solved = (some: typeof parts) =>
    transferAnswers.proposals({ kind: 'proposals', ...transfer, parts: some }, sources)[0].of;
  expect(solved(parts)).toHaveLength(solved([]).length);
  const whole = { ...SKY_LOOP, points: SKY_LOOP.points.map(({ x, y }) => ({ x, y: y * 1.3 })) };
  const plan = transferAnswers.massPlan(
    { kind: 'massPlan', ...query, parts: [whole], within: 0.5, order: 'dark first' },
    sources,
  );
  expect(plan.masses.filter(({ of: own }) => own === null)).toHaveLength(1);

  const dark = { ...query, colours: transfer.colours.slice(0, 1), mode: 'strict' as const };
  const figures = transferAnswers.transferFigures({ kind: 'transferFigures', ...dark }, sources);
  expect(figures.missed).toBeGreaterThan(0.4);
  expect(figures.missing).toContain(2);
  const hatched = transferAnswers.unreached({ kind: 'unreached', ...dark }, sources);
  const coloursIn = (from: number, to: number) => {
    const found = new Set<string>();
    for (let at = from * 120 * 4; at < to * 120 * 4; at += 4)
      found.add([...hatched.data.subarray(at, at + 3)].join());
    return found;
  };
  expect(coloursIn(0, 38)).toContain('0,0,0');
  expect(coloursIn(70, 80)).toEqual(new Set(['43,51,64']));
});

it('a mood darkens, at half the size as in the whole, and has its palette', () => {
  const mood = { settings: MOOD_SETTINGS.moonlight, squint: SQUINT, marks: [], parts: [] };
  const effect = transferAnswers.moodEffect({ kind: 'moodEffect', ...mood }, sources);
  expect(effect.median[1]).toBeLessThan(effect.median[0] - 1);
  expect(effect.palette.length).toBeGreaterThan(1);
  expect(Math.max(...effect.palette.map(({ colour }) => valueOfOklab(colour)))).toBeLessThan(7);
  const [whole, half] = (['whole', 'half'] as const).map((size) =>
    transferAnswers.mood({ kind: 'mood', ...mood, size, grey: false }, sources),
  );
  expect(whole.width).toBe(120);
  expect(Math.abs(whole.data[0] - half.data[0])).toBeLessThan(4);
});

it('what if one mass were lighter: it alone, and what that does', () => {
  const moves = [{ ...BARN, moves: { value: 4, warmth: 0, chroma: 0, distance: 0 } }];
  const what = { moves, squint: SQUINT, parts: [] };
  const lighter = transferAnswers.whatIf(
    { kind: 'whatIf', ...what, size: 'whole', grey: false },
    sources,
  );
  expect(valueOfOklab(at(lighter, BARN))).toBeGreaterThan(valueOfOklab(at(picture, BARN)) + 1.7);
  expect(at(lighter, SKY)).toEqual(at(picture, SKY));
  const effect = transferAnswers.whatIfEffect(
    { kind: 'whatIfEffect', ...what, place: BARN },
    sources,
  )!;
  expect(effect.steps[1]).not.toBeCloseTo(effect.steps[0], 1);
  const beyond = { ...what, place: { x: 7, y: 7 } };
  expect(transferAnswers.whatIfEffect({ kind: 'whatIfEffect', ...beyond }, sources)).toBeNull();
});

it('the plan, the echo and one key are answered', () => {
  const plan = transferAnswers.massPlan(
    { kind: 'massPlan', ...query, within: 0.5, order: 'dark first' },
    sources,
  );
  expect(plan.masses.length).toBeGreaterThanOrEqual(2);
  expect(plan.masses.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 5);
  for (const { x, y } of transferAnswers.echo(
    { kind: 'echo', ...transfer, way: 'by value', colour: 2, within: 2 },
    sources,
  ))
    expect(Math.min(x, y, 1 - x, 1 - y)).toBeGreaterThan(0);
  const { off } = transferAnswers.keyEffect(
    {
      kind: 'keyEffect',
      key: { ...DEFAULT_USE.key, hue: 30, scheme: 'monochrome', degree: 1 },
      wheel: 'painters',
      parts: [],
    },
    sources,
  );
  expect(off[1]).toBeLessThan(off[0]);
});

it('queries that make no sense are refused', () => {
  const good = { kind: 'transferred', ...query, size: 'whole', grey: false };
  expect(deskQuerySchema.safeParse(good).success).toBe(true);
  for (const bad of [
    { colours: [] },
    { mode: 'glossy' },
    { held: [{ x: 0, y: 0, colour: -2 }] },
    { prominence: [0.5] },
    { size: 'huge' },
  ])
    expect(deskQuerySchema.safeParse({ ...good, ...bad }).success).toBe(false);
  const mood = {
    kind: 'mood',
    settings: MOOD_SETTINGS.fog,
    squint: SQUINT,
    marks: [],
    parts: [],
    size: 'half',
    grey: false,
  };
  expect(deskQuerySchema.safeParse(mood).success).toBe(true);
  expect(
    deskQuerySchema.safeParse({ ...mood, settings: { ...MOOD_SETTINGS.fog, key: 99 } }).success,
  ).toBe(false);
});
