import { bytesFromOklab } from '../colour/hex';
import { oklabFromOklch } from '../colour/oklab';
import { PAINTERS_WHEEL, SCREEN_WHEEL } from '../colour/wheel';
import { paintedBy } from '../testing';
import type { ColourGrid } from '../picture/colour-grid';
import { MAX_HIDDEN, NEUTRAL, readHidden } from './hidden';
import { fineLabels, hiddenMapPicture, regionMap, regionOutlines } from './hidden-map';
import { NO_PUSH } from './push';
import { pushable } from './pushed';
import { regionPlace } from './region-place';
import { BANDS, bands, EMPTY_KINDS, emptyPicture, fog } from './testing/fogs';

const SPREAD = { ...NO_PUSH, spread: 0.5 };
const SMALL = { width: 420, height: 280, noise: 2 };

describe('hidden colours', () => {
  it('are found in made-up fogs: nineteen of twenty, with family and place, and none besides', () => {
    let all = 0;
    let found = 0;
    let besides = 0;
    for (let seed = 1; seed <= 8; seed++) {
      const { picture, regions, of } = fog(seed, SMALL);
      const { colours } = readHidden(pushable(picture), SPREAD);
      const regionAt = ({ x, y }: { x: number; y: number }) =>
        of[Math.floor(y * picture.height) * picture.width + Math.floor(x * picture.width)] - 1;
      regions.forEach(({ share, family }, i) => {
        if (share < 0.01) return;
        all++;
        if (colours.some((one) => one.readsAs === family && regionAt(one.point) === i)) found++;
      });
      besides += colours.filter(({ point }) => regionAt(point) < 0).length;
    }
    expect(all).toBeGreaterThan(25);
    expect(found / all).toBeGreaterThanOrEqual(0.95);
    expect(besides).toBe(0);
  });

  it('are what they are in five bands that share a picture, whatever noise is drawn and at half the size', () => {
    const half = { width: SMALL.width / 2, height: SMALL.height / 2 };
    const seems = new Map<string, string>();
    let all = 0;
    let same = 0;
    for (const noise of [1, 2, 4])
      for (let seed = 1; seed <= 3; seed++)
        for (const { width, height } of [SMALL, half]) {
          const { colours } = readHidden(pushable(bands(seed, { width, height, noise })), SPREAD);
          BANDS.forEach((family, i) => {
            const own = colours.filter(({ point }) => Math.floor(point.x * BANDS.length) === i);
            if (own[0] && !seems.has(family)) seems.set(family, own[0].readsAs);
            all++;
            const isSame = own[0]?.is === family && own[0].readsAs === seems.get(family);
            if (own.length === 1 && isSame) same++;
          });
        }
    expect(same / all).toBeGreaterThanOrEqual(0.95);
  });

  it('are named for what they are and for what they seem, where a fog has a tint', () => {
    const fogged = oklabFromOklch({ L: 0.7, C: 0.02, h: 76 });
    const grey = { L: 0.7, a: 0.001, b: 0 };
    const picture = paintedBy(300, 200, (x, y) =>
      bytesFromOklab(x > 110 && x < 190 && y > 60 && y < 140 ? grey : fogged),
    );
    const { colours } = readHidden(pushable(picture), SPREAD);
    expect(colours).toHaveLength(1);
    expect(colours[0].is).toBe(NEUTRAL);
    expect(colours[0].readsAs).toBe('blue');
  });

  it('are no main mass of a picture, and nothing that is plain to see', () => {
    const ground = oklabFromOklch({ L: 0.6, C: 0.004, h: 80 });
    const field = oklabFromOklch({ L: 0.5, C: 0.03, h: 60 });
    const halves = paintedBy(300, 200, (_, y) => bytesFromOklab(y < 90 ? ground : field));
    expect(readHidden(pushable(halves), SPREAD).colours).toEqual([]);
    const plain = oklabFromOklch({ L: 0.6, C: 0.058, h: 250 });
    const spot = paintedBy(300, 200, (x, y) => bytesFromOklab(x > 200 && y > 120 ? plain : ground));
    expect(readHidden(pushable(spot), SPREAD).colours).toEqual([]);
  });

  it('are none in noise, flat greys and one hue that fades', () => {
    for (const kind of EMPTY_KINDS)
      for (let seed = 1; seed <= 3; seed++)
        expect(readHidden(pushable(emptyPicture(kind, seed, SMALL)), SPREAD).colours).toEqual([]);
  });

  it('are at most twelve, by sureness times share, each with its share, push and words', () => {
    const ground = oklabFromOklch({ L: 0.7, C: 0.01, h: 80 });
    const picture = paintedBy(400, 300, (x, y) => {
      const column = Math.floor(x / 40);
      const line = Math.floor(y / 40);
      if (column % 2 === 0 || line % 2 === 0) return bytesFromOklab(ground);
      const angle = (column * 6 + line) * 0.7;
      const far = 0.012 + 0.001 * ((column + line) % 9);
      return bytesFromOklab({
        ...ground,
        a: ground.a + far * Math.cos(angle),
        b: ground.b + far * Math.sin(angle),
      });
    });
    const { colours, cast } = readHidden(pushable(picture), SPREAD);
    expect(colours.length).toBeLessThanOrEqual(MAX_HIDDEN);
    expect(colours.length).toBeGreaterThan(6);
    expect(Math.hypot(cast[0] - ground.a, cast[1] - ground.b)).toBeLessThan(0.002);
    colours.reduce((last, { sureness, share }) => {
      expect(sureness * share).toBeLessThanOrEqual(last + 1e-12);
      return sureness * share;
    }, Infinity);
    for (const { colour, pushed, departure, moved, sureness } of colours) {
      expect(Math.hypot(pushed.a - cast[0], pushed.b - cast[1])).toBeGreaterThan(2 * departure);
      expect(moved).toBeGreaterThan(1);
      expect(Math.abs(pushed.L - colour.L)).toBeLessThan(0.03);
      expect(sureness).toBeGreaterThanOrEqual(0.5);
    }
  });

  it('speak of the wheel that is asked for', () => {
    const { picture } = fog(6, SMALL);
    const subject = pushable(picture);
    for (const wheel of [PAINTERS_WHEEL, SCREEN_WHEEL])
      for (const { readsAs, is } of readHidden(subject, SPREAD, wheel).colours) {
        expect(wheel.families).toContain(readsAs);
        expect([...wheel.families, NEUTRAL]).toContain(is);
      }
  });

  it('take two far parts of one colour for one', () => {
    const ground = oklabFromOklch({ L: 0.7, C: 0.01, h: 80 });
    const spot = { ...ground, b: ground.b - 0.02 };
    const picture = paintedBy(300, 150, (x, y) =>
      bytesFromOklab(y > 50 && y < 100 && (x < 50 || x >= 250) ? spot : ground),
    );
    const { colours } = readHidden(pushable(picture), SPREAD);
    expect(colours).toHaveLength(1);
    expect(colours[0].share).toBeCloseTo(1 / 9, 1);
  });
});

describe('where a region lies', () => {
  const grid = (width: number, height: number) =>
    ({
      width,
      height,
      across: width,
      down: height,
      mask: new Float32Array(width * height),
    }) as ColourGrid;
  const cells = (width: number, inside: (x: number, y: number) => boolean, height = 40) =>
    Array.from({ length: width * height }, (_, c) => c).filter((c) =>
      inside(c % width, Math.floor(c / width)),
    );

  it('is said as a painter would', () => {
    const place = (inside: (x: number, y: number) => boolean) =>
      regionPlace(grid(60, 40), cells(60, inside)).words;
    expect(place((_, y) => y < 6)).toBe('along the upper edge');
    expect(place((_, y) => y >= 34)).toBe('along the lower edge');
    expect(place((_, y) => y > 17 && y < 23)).toBe('across the middle');
    expect(place((_, y) => y > 6 && y < 12)).toBe('across the upper part');
    expect(place((x) => x > 50)).toBe('along the right edge');
    expect(place((x, y) => x < 15 && y < 10)).toBe('upper left');
    expect(place(() => true)).toBe('all over');
  });

  it('has its representative point inside, also where its centroid is not', () => {
    const ring = cells(60, (x, y) => Math.abs(Math.hypot(x - 30, y - 20) - 14) < 3);
    const { point } = regionPlace(grid(60, 40), ring);
    expect(ring).toContain(Math.floor(point.y * 40) * 60 + Math.floor(point.x * 60));
  });
});

describe('the map of hidden colours', () => {
  /** The left half of 20 by 10 cells is one region. */
  const grid = {
    width: 20,
    height: 10,
    across: 20,
    down: 10,
    mask: new Float32Array(200).fill(1),
  } as ColourGrid;
  const of = Int16Array.from({ length: 200 }, (_, c) => (c % 20 < 10 ? 0 : -1));
  const labels = fineLabels(grid, of, 1);

  it('lays flat regions over what has gone pale', () => {
    const grey = paintedBy(40, 20, () => [100, 100, 100]);
    const map = regionMap(grey, labels);
    expect([map[2 * 40 + 2], map[2 * 40 + 37]]).toEqual([1, 0]);
    const { data } = hiddenMapPicture(grey, map, [oklabFromOklch({ L: 0.6, C: 0.1, h: 20 })]);
    const at = (x: number) => Array.from(data.subarray((2 * 40 + x) * 4, (2 * 40 + x) * 4 + 3));
    expect(at(2)).toEqual(Array.from(bytesFromOklab(oklabFromOklch({ L: 0.6, C: 0.1, h: 20 }))));
    expect(at(37)[0]).toBeGreaterThan(160);
  });

  it('outlines each region once, within the picture', () => {
    const [rings] = regionOutlines(labels, 1);
    expect(rings).toHaveLength(1);
    for (const { x, y } of rings[0]) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(0.55);
      expect(y).toBeLessThanOrEqual(1);
    }
  });
});
