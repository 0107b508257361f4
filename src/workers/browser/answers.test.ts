import type { QueryKind, QueryOf, VeilPart } from '@/contracts/desk-query/desk-query';
import { keyedAnswers, openingQueries } from '@/contracts/desk-query/opening-queries';
import { DEFAULT_SETTINGS } from '@/contracts/settings';
import { newDocument } from '@/contracts/study';
import { oklabFromBytes } from '@/core/colour/hex';
import { valueOfOklab } from '@/core/colour/value';
import { paintedBy } from '@/core/testing';
import type { Picture } from '@/core/picture/picture';
import { answerQuery } from './answers';
import { deriveImages } from './derived-images';

type Bytes = [number, number, number];
const WHITE: Bytes = [245, 245, 240];
const RED: Bytes = [190, 60, 50];
/** A green of the red's value. */
const GREEN: Bytes = [40, 118, 60];
/** White above; below a red left of a green. */
const flag = paintedBy(300, 200, (x, y) => (y < 100 ? WHITE : x < 120 ? RED : GREEN));
const held = deriveImages(flag, (strokes) => [...strokes]);
const ask = <K extends QueryKind>(query: QueryOf<K>) =>
  answerQuery<K>(query, { working: flag, images: held });
const veilOf = (part: VeilPart) => ask<'veil'>({ kind: 'veil', part });
const SETTINGS = { zones: 2, breaks: 'natural' as const, thresholds: [], squint: 0.01 };

const pixel = ({ width, data }: Picture, x: number, y: number) =>
  Array.from(data.subarray((y * width + x) * 4, (y * width + x) * 4 + 4));
/** Whether a veil leaves a place clear. */
const isClear = (veil: Picture, x: number, y: number) => pixel(veil, x, y)[3] === 0;

describe('images derived of a picture', () => {
  it('is made once, and at half the size for a hand', () => {
    expect(held.through(0.01)).toBe(held.through(0.01));
    expect(held.plain()).toBe(held.plain());
    expect(held.through(0)).toBe(held.plain());
    const { width, height } = held.half().picture;
    expect([width, height]).toEqual([150, 100]);
    expect(pixel(held.half().picture, 20, 80)).toEqual([...RED, 255]);
  });
});

describe('what the Desk opens with', () => {
  it('is figures alone: they are the same after a while in the database', () => {
    const document = newDocument('Flag');
    const answers = keyedAnswers(openingQueries(document, DEFAULT_SETTINGS), (query) => ask(query));
    expect(Object.keys(answers)).toHaveLength(openingQueries(document, DEFAULT_SETTINGS).length);
    expect(JSON.parse(JSON.stringify(answers))).toEqual(answers);
  });
});

describe('what the Desk opens with, of an odd picture', () => {
  const red: Bytes = [200, 30, 30];
  const odd: Record<string, Picture> = {
    'a pixel': paintedBy(1, 1, () => red),
    'one colour': paintedBy(300, 200, () => [120, 120, 120]),
    black: paintedBy(40, 30, () => [0, 0, 0]),
    'a line in nothing': paintedBy(300, 200, (_, y) => [...red, y === 100 ? 255 : 0]),
    'a thread': paintedBy(1600, 1, (x) => [x % 256, 40, 200]),
  };

  it.each(Object.entries(odd))('%s, is figures that JSON can hold', (_, picture) => {
    const sources = { working: picture, images: deriveImages(picture, (strokes) => [...strokes]) };
    const answers = keyedAnswers(openingQueries(newDocument('Odd'), DEFAULT_SETTINGS), (query) =>
      answerQuery(query, sources),
    );
    expect(JSON.parse(JSON.stringify(answers))).toEqual(answers);
  });
});

describe('values in the worker', () => {
  it('are read nearly the same at half the size', () => {
    const whole = ask({ kind: 'values', settings: SETTINGS, quick: false });
    const quick = ask({ kind: 'values', settings: SETTINGS, quick: true });
    expect(whole.zones).toHaveLength(2);
    whole.zones.forEach(({ share, mean }, i) => {
      expect(Math.abs(quick.zones[i].share - share)).toBeLessThan(0.01);
      expect(Math.abs(quick.zones[i].mean - mean)).toBeLessThan(0.1);
    });
    expect(whole.counts.reduce((a, b) => a + b, 0)).toBe(300 * 200);
    expect(quick.counts.reduce((a, b) => a + b, 0)).toBe(150 * 100);
  });

  it('are drawn as greys, colours and outlines, at either size', () => {
    for (const quick of [false, true]) {
      const drawn = ask({ kind: 'zones', settings: SETTINGS, look: 'greys', quick: quick });
      expect(drawn.width).toBe(quick ? 150 : 300);
      const [r, g, b] = pixel(drawn, 10, 10);
      expect([g, b]).toEqual([r, r]);
    }
    const [r, g] = pixel(
      ask({ kind: 'zones', settings: SETTINGS, look: 'colours', quick: false }),
      10,
      10,
    );
    expect(r).toBeGreaterThan(230);
    expect(g).toBeGreaterThan(230);
    expect(
      pixel(ask({ kind: 'zones', settings: SETTINGS, look: 'outlines', quick: false }), 10, 10)[3],
    ).toBe(0);
  });

  it('give away copies, not what is held', () => {
    const squinted = ask({ kind: 'squint', squint: 0.01, quick: false });
    squinted.data.fill(0);
    expect(pixel(ask({ kind: 'squint', squint: 0.01, quick: false }), 10, 10)[3]).toBe(255);
  });

  it('part light from shadow, as measured and as corrected', () => {
    const loop = {
      id: 'loop',
      side: 'shadow' as const,
      tool: 'lasso' as const,
      radius: 0,
      points: [
        { x: 0, y: 0 },
        { x: 0.5, y: 0 },
        { x: 0.5, y: 0.5 },
        { x: 0, y: 0.5 },
      ],
    };
    expect(ask({ kind: 'lightAndShadow', squint: 0.01, corrections: [] }).light?.share).toBeCloseTo(
      0.5,
      2,
    );
    expect(
      ask({ kind: 'lightAndShadow', squint: 0.01, corrections: [loop] }).light?.share,
    ).toBeCloseTo(0.25, 2);
    const grey = ([r]: number[]) => r;
    const sides = ask({ kind: 'sides', squint: 0.01, corrections: [loop] });
    expect(grey(pixel(sides, 10, 10))).toBeLessThan(grey(pixel(sides, 250, 10)));
  });

  it('name and draw what merges, and all edges', () => {
    const { merging, edges, masses } = ask({ kind: 'separation', squint: 0.01, steps: 0.5 });
    expect(masses).toBe(3);
    expect(merging).toHaveLength(1);
    expect(edges.found).toBeGreaterThan(0.5);
    expect(edges.lost).toBeGreaterThan(0.1);
    const drawn = ask({ kind: 'edgeLines', squint: 0.01, merging: 0.5 });
    expect(drawn.every(({ kind }) => kind === 'merging')).toBe(true);
    for (const { x } of drawn.flatMap(({ points }) => points))
      expect(Math.abs(x - 0.4)).toBeLessThan(0.03);
    expect(
      new Set(ask({ kind: 'edgeLines', squint: 0.01, merging: null }).map(({ kind }) => kind)),
    ).toContain('found');
  });

  it('tell the form of its masses, whatever the squint', () => {
    const form = ask({ kind: 'form', squint: 0.01 });
    expect(form.masses).toHaveLength(3);
    expect(form.main).toHaveLength(3);
    expect(form.reflections).toEqual([]);
  });

  it('tell depth by the marks of a hand, which are on the original however it is framed', () => {
    const mark = (x: number, is: 'far' | 'sky') => ({ id: is, x, y: 0.5, is });
    const guess = ask({ kind: 'depth', squint: 0.01, marks: [] });
    expect(guess.masses.some(({ byHand }) => byHand.distance || byHand.facing)).toBe(false);
    const marks = [mark(0.1, 'far'), mark(0.1, 'sky')];
    const marked = ask({ kind: 'depth', squint: 0.01, marks });
    expect(marked.masses.filter(({ byHand }) => byHand.distance)).toHaveLength(1);
    const [said] = marked.masses.flatMap(({ byHand }, i) => (byHand.facing ? [i] : []));
    expect(marked.facings.sky?.masses).toContain(said);
    const [before, after] = [ask({ kind: 'greys' }), ask({ kind: 'haze', squint: 0.01, marks })];
    expect(pixel(after, 20, 100)[0]).toBeGreaterThan(pixel(before, 20, 100)[0]);
  });

  it('hatch what brightness misleads about, and veil what is quiet', () => {
    const marks = ask({ kind: 'misleadingMarks', steps: 1 });
    const hatched = (from: number, to: number) =>
      Array.from({ length: to - from }, (_, x) => pixel(marks, from + x, 150)[3]).some(Boolean);
    expect(hatched(0, 100)).toBe(true);
    expect(pixel(marks, 10, 10)[3]).toBe(0);
    const { places, balance } = ask({ kind: 'focus' });
    expect(places.length).toBeGreaterThan(0);
    expect(balance.upper).toBeLessThan(0.5);
    const busy = ask({ kind: 'busy' });
    expect(pixel(busy, 150, 20)[3]).toBeGreaterThan(pixel(busy, 120, 100)[3]);
  });
});

describe('veils', () => {
  it('leave a zone, a side, masses or what is misled clear', () => {
    const zone = veilOf({ kind: 'zone', index: 1, settings: SETTINGS });
    expect([isClear(zone, 150, 20), isClear(zone, 50, 150)]).toEqual([true, false]);
    const side = veilOf({ kind: 'side', side: 'shadow', squint: 0.01, corrections: [] });
    expect([isClear(side, 150, 20), isClear(side, 50, 150)]).toEqual([false, true]);
    const white = held.masses(0.01).masses.masses.findIndex(({ colour }) => colour.L > 0.9);
    const masses = veilOf({ kind: 'masses', which: [white], squint: 0.01 });
    expect([isClear(masses, 150, 20), isClear(masses, 50, 150)]).toEqual([true, false]);
    const misled = veilOf({ kind: 'misled', family: 'red', steps: 1 });
    expect([isClear(misled, 50, 150), isClear(misled, 250, 150), isClear(misled, 50, 20)]).toEqual([
      true,
      false,
      false,
    ]);
  });

  it('leave a hue, a family or an intensity clear', () => {
    const hue = veilOf({ kind: 'hue', from: 350, to: 60 });
    expect([isClear(hue, 50, 150), isClear(hue, 250, 150)]).toEqual([true, false]);
    const { hues, chroma } = ask({
      kind: 'colours',
      settings: SETTINGS,
      corrections: [],
      wheel: 'painters',
    });
    const index = hues.families.findIndex(({ family }) => family === 'green');
    expect(hues.families[index].shadow).toBeCloseTo(0.3, 2);
    const family = veilOf({ kind: 'family', index, wheel: 'painters' });
    expect([isClear(family, 50, 150), isClear(family, 250, 150)]).toEqual([false, true]);
    expect(chroma.words.neutral).toBeCloseTo(0.5, 2);
    const tone = veilOf({ kind: 'tone', value: [0, 9], chroma: [0.04, null] });
    expect([isClear(tone, 50, 150), isClear(tone, 150, 20)]).toEqual([true, false]);
    const neutral = veilOf({ kind: 'word', word: 'neutral' });
    expect([isClear(neutral, 150, 20), isClear(neutral, 50, 150)]).toEqual([true, false]);
  });

  it('are a map of temperature, orange where it is warmer, blue where cooler, all of one value', () => {
    const map = ask({ kind: 'temperature' });
    const at = (x: number, y: number) => pixel(map, x, y).slice(0, 3) as [number, number, number];
    const warmth = (x: number, y: number) => at(x, y)[0] - at(x, y)[2];
    expect(warmth(50, 150)).toBeGreaterThan(warmth(150, 20));
    expect(warmth(250, 150)).toBeLessThan(warmth(50, 150));
    for (const [x, y] of [
      [50, 150],
      [150, 20],
      [250, 150],
    ])
      expect(valueOfOklab(oklabFromBytes(at(x, y)))).toBeCloseTo(6.5, 1);
  });
});
