import { bytesFromOklab } from '../colour/hex';
import { oklabFromOklch, type Oklch } from '../colour/oklab';
import { measureSources } from '../measure/sources';
import { randomFrom } from '../seeded';
import { paintedBy } from '../testing';
import { readGuards } from './guards';
import { keepMap, type Protection } from './protect';
import { NO_PUSH, type Push } from './push';
import { pushable, pushedRows, rowsOf } from './pushed';
import { allowedMap } from './allowed';
import { readValueLock } from './value-lock';

const WIDTH = 120;
const HEIGHT = 80;
const colour = (lch: Oklch) => bytesFromOklab(oklabFromOklch(lch));
/** A light orange left of a dark blue, both quiet. */
const ORANGE = colour({ L: 0.8, C: 0.045, h: 57 });
const BLUE = colour({ L: 0.4, C: 0.03, h: 255 });
const halves = paintedBy(WIDTH, HEIGHT, (x) => (x < WIDTH / 2 ? ORANGE : BLUE));
const subject = pushable(halves);
const rows = rowsOf(subject);
const pixels = { ...rows, width: WIDTH, height: HEIGHT };
const NOTHING: Protection = { wheel: 'painters', families: [], strokes: [], only: null };
const kept = (part: Partial<Protection>) => {
  const keep = keepMap(pixels, { ...NOTHING, ...part });
  return (x: number, y = 40) => keep?.[y * WIDTH + x];
};

describe('what is kept from being pushed', () => {
  it('is nothing, unless it is said', () => {
    expect(keepMap(pixels, NOTHING)).toBeNull();
  });

  it('is a family as it is', () => {
    const at = kept({ families: [2] });
    expect([at(20), at(100)]).toEqual([0, 255]);
    const screen = kept({ wheel: 'screen', families: [7, 8] });
    expect([screen(20), screen(100)]).toEqual([255, 0]);
  });

  it('is what a hand drew, with a soft rim', () => {
    const at = kept({ strokes: [{ tool: 'brush', radius: 0.1, points: [{ x: 0.25, y: 0.5 }] }] });
    expect([at(30), at(100), at(30, 5)]).toEqual([0, 255, 255]);
    const rim = Array.from({ length: 30 }, (_, i) => at(30 + i));
    expect(rim.some((one) => one !== 0 && one !== 255)).toBe(true);
  });

  it('is all but the lights, the shadows or a zone', () => {
    const image = measureSources(halves);
    const cut = { squint: 0, zones: { zones: 2, breaks: 'natural' as const }, corrections: [] };
    const ends = (map: Uint8Array | null) => map && [map[20], map[100]];
    expect(allowedMap({ kind: 'all' }, image, cut)).toBeNull();
    expect(ends(allowedMap({ kind: 'side', side: 'light' }, image, cut))).toEqual([1, 0]);
    expect(ends(allowedMap({ kind: 'side', side: 'shadow' }, image, cut))).toEqual([0, 1]);
    expect(ends(allowedMap({ kind: 'zone', index: 0 }, image, cut))).toEqual([0, 1]);
    const only = allowedMap({ kind: 'side', side: 'shadow' }, image, cut);
    expect([kept({ only })(20), kept({ only })(100)]).toEqual([0, 255]);
  });

  it('comes through a push unchanged to the byte, by either cast', () => {
    const keep = keepMap(pixels, { ...NOTHING, families: [2] });
    for (const cast of ['global', 'local'] as const) {
      const out = pushedRows(subject, rows, { ...NO_PUSH, lift: 1, spread: 1, cast }, keep);
      const at = (x: number) =>
        Array.from(out.subarray((40 * WIDTH + x) * 4, (40 * WIDTH + x) * 4 + 3));
      expect(at(20)).toEqual(Array.from(ORANGE));
      expect(at(100)).not.toEqual(Array.from(BLUE));
    }
  });

  it('is the same for some rows as for all of them', () => {
    const strokes = [{ tool: 'brush' as const, radius: 0.1, points: [{ x: 0.25, y: 0.5 }] }];
    const whole = keepMap(pixels, { ...NOTHING, strokes }) as Uint8Array;
    const part = keepMap(
      { ...rowsOf(subject, 30, 50), width: WIDTH, height: HEIGHT },
      { ...NOTHING, strokes },
    );
    expect(part).toEqual(whole.subarray(30 * WIDTH, 50 * WIDTH));
  });
});

describe('guards', () => {
  const guardsOf = (picture: typeof halves, push: Partial<Push>, quality: number | null = null) => {
    const of = pushable(picture, quality);
    const data = pushedRows(of, rowsOf(of), { ...NO_PUSH, ...push });
    return readGuards(of, { ...picture, data });
  };

  it('say nothing of a picture that is left alone', () => {
    const { warnings, before, after } = guardsOf(halves, {});
    expect(warnings).toEqual([]);
    expect(after).toEqual(before);
  });

  it('say when it is too strong and no neutral is left', () => {
    const half = paintedBy(WIDTH, HEIGHT, (x) =>
      colour({ L: 0.6, C: x < 90 ? 0.06 : 0.012, h: x < 45 ? 30 : 250 }),
    );
    const { warnings, after, before } = guardsOf(half, { lift: 1, quiet: 1 });
    expect(warnings).toEqual(expect.arrayContaining(['too strong', 'no neutrals']));
    expect(after.strong).toBeGreaterThan(before.strong + 0.5);
  });

  it('say when of a picture that is mostly neutral little stays so', () => {
    const fogged = paintedBy(WIDTH, HEIGHT, (x) =>
      colour({ L: 0.7, C: 0.015, h: x < WIDTH / 2 ? 40 : 250 }),
    );
    expect(guardsOf(fogged, { spread: 0.6 }).warnings).toContain('no neutrals');
    expect(guardsOf(fogged, { spread: 0.02 }).warnings).not.toContain('no neutrals');
  });

  it('say when greens go past what foliage does', () => {
    const leaves = paintedBy(WIDTH, HEIGHT, (x) =>
      colour({ L: 0.7, C: x < 30 ? 0.09 : 0.02, h: 140 }),
    );
    expect(guardsOf(leaves, { lift: 1 }).warnings).toContain('greens');
    expect(guardsOf(leaves, { lift: 0.05 }).warnings).not.toContain('greens');
  });

  it('say when noise, the file or a cast make it doubtful', () => {
    const random = randomFrom(3);
    const noise = () => Math.round((random() - 0.5) * 60);
    const dark = paintedBy(WIDTH, HEIGHT, () => [60 + noise(), 60 + noise(), 60 + noise()]);
    expect(guardsOf(dark, {}).warnings).toContain('noise');
    expect(guardsOf(halves, {}, 45).warnings).toContain('lossy');
    expect(guardsOf(halves, {}, 90).warnings).not.toContain('lossy');
    const lamp = paintedBy(WIDTH, HEIGHT, (x) => colour({ L: 0.3 + x / 200, C: 0.06, h: 75 }));
    expect(guardsOf(lamp, {}).warnings).toContain('cast');
  });
});

describe('the value lock', () => {
  it('is none between a picture and itself, and what it is otherwise', () => {
    expect(readValueLock(halves, halves)).toEqual({ mean: 0, most: 0.025 });
    const grey = paintedBy(10, 10, () => [119, 119, 119]);
    const lighter = paintedBy(10, 10, () => [122, 122, 122]);
    // One level of grey here is 0.39 of L*.
    const { mean, most } = readValueLock(grey, lighter);
    expect(mean).toBeCloseTo(1.18, 1);
    expect(most).toBeCloseTo(1.2, 1);
  });
});
