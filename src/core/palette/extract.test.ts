import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { hexFromOklab, oklabFromBytes, oklabFromHex, type Bytes } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { anyPicture, anySrgb, paintedBy } from '../testing';
import { extractPalette } from './extract';
import { LEANS, type Lean } from './lean';
import { mapShares, NO_SWATCH, swatchMap } from './swatch-map';

const differs = (one: Oklab, other: Oklab) => ciede2000(labFromOklab(one), labFromOklab(other));
const anyCount = fc.integer({ min: 2, max: 16 });

describe('extraction', () => {
  it('finds flat colours exactly, with their shares, from dark to light', () => {
    const colours: Bytes[] = [
      [20, 24, 48],
      [150, 60, 40],
      [240, 220, 180],
    ];
    const picture = paintedBy(100, 10, (x) => colours[x < 50 ? 0 : x < 80 ? 1 : 2]);
    const { swatches, meanDifference } = extractPalette(picture, { count: 3 });
    expect(swatches.map(({ colour }) => hexFromOklab(colour))).toEqual([
      '#141830',
      '#963c28',
      '#f0dcb4',
    ]);
    swatches.forEach(({ share }, i) => expect(share).toBeCloseTo([0.5, 0.3, 0.2][i], 9));
    expect(meanDifference).toBeLessThan(1e-3);
  });

  it('gives each swatch a representative point', () => {
    const picture = paintedBy(80, 80, (x, y) =>
      x > 60 && y < 20 ? [220, 30, 30] : [90, 100, 110],
    );
    const red = extractPalette(picture, { count: 2 }).swatches.find(({ share }) => share < 0.5);
    expect(red?.point?.x).toBeGreaterThan(0.75);
    expect(red?.point?.y).toBeLessThan(0.25);
  });

  it('keeps a small strong accent among many greys', () => {
    const picture = paintedBy(200, 200, (x, y) => {
      if (x >= 90 && x < 116 && y >= 100 && y < 122) return [205, 35, 30]; // 1.4 % of it
      const grey = 40 + Math.round(170 * ((x + y) / 400) + 20 * Math.sin(x / 9));
      return [grey, grey, Math.min(255, grey + 8)];
    });
    const { swatches } = extractPalette(picture, { count: 8 });
    const red = oklabFromBytes([205, 35, 30]);
    expect(Math.min(...swatches.map(({ colour }) => differs(colour, red)))).toBeLessThan(4);
  });

  it('returns kept colours untouched and first', () => {
    fc.assert(
      fc.property(
        anyPicture,
        fc.array(anySrgb, { maxLength: 5 }),
        anyCount,
        (picture, keep, count) => {
          const { swatches } = extractPalette(picture, { count, keep });
          expect(swatches.slice(0, keep.length).map(({ colour }) => colour)).toEqual(keep);
          expect(swatches.length).toBeLessThanOrEqual(Math.max(count, keep.length));
        },
      ),
    );
  });

  it('is never further from the picture with one colour more, under any lean that looks at all of it', () => {
    fc.assert(
      fc.property(
        anyPicture,
        fc.integer({ min: 2, max: 15 }),
        fc.constantFrom(...(['balanced', 'area', 'accents'] as const)),
        fc.array(anySrgb, { maxLength: 2 }),
        (picture, count, lean, keep) => {
          const mean = (of: number) =>
            extractPalette(picture, { count: of, lean, keep }).meanDifference;
          expect(mean(count + 1)).toBeLessThanOrEqual(mean(count) + 1e-9);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('looks at half of the picture where the lean says so', () => {
    const shades: Bytes[] = [
      [20, 20, 24],
      [50, 50, 56],
      [180, 60, 50],
      [220, 220, 214],
      [250, 248, 240],
      [60, 90, 170],
    ];
    const picture = paintedBy(120, 20, (x) => shades[Math.floor(x / 20)]);
    const hexes = (lean: Lean) =>
      extractPalette(picture, { count: 3, lean }).swatches.map(({ colour }) =>
        hexFromOklab(colour),
      );
    expect(hexes('lights')).toEqual(['#b43c32', '#dcdcd6', '#faf8f0']);
    expect(hexes('darks')).toEqual(['#141418', '#323238', '#3c5aaa']);
    expect(hexes('quiet')).toEqual(['#141418', '#dcdcd6', '#323238'].sort());
    expect(hexes('strong')).toContain('#b43c32');
    expect(hexes('strong')).toContain('#3c5aaa');
    for (const lean of LEANS) {
      const { swatches } = extractPalette(picture, { count: 3, lean });
      expect(swatches.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    }
  });

  it('looks only within a region, and says the shares of all', () => {
    const picture = paintedBy(40, 40, (x) =>
      x < 10 ? [200, 40, 30] : x < 20 ? [230, 180, 60] : [30, 60, 160],
    );
    const within = Uint8Array.from({ length: 1600 }, (_, p) => (p % 40 < 20 ? 1 : 0));
    const { swatches } = extractPalette(picture, { count: 2, within });
    expect(swatches.map(({ colour }) => hexFromOklab(colour))).toEqual(['#c8281e', '#e6b43c']);
    expect(swatches[0].share).toBeCloseTo(0.75, 9);
    expect(() => extractPalette(picture, { count: 2, within: new Uint8Array(1600) })).toThrow(
      RangeError,
    );
  });

  it('keeps accents before areas when it leans that way', () => {
    const discs: Bytes[] = [
      [200, 30, 40],
      [30, 130, 60],
      [230, 190, 20],
    ];
    const picture = paintedBy(200, 100, (x, y) => {
      const disc = Math.floor(x / 70);
      if (disc < 3 && Math.hypot(x - 30 - disc * 70, y - 50) < 9) return discs[disc];
      const grey = 60 + y + (x >> 3);
      return [grey, grey, grey];
    });
    const kept = (lean: Lean, count: number) =>
      discs.filter((disc) =>
        extractPalette(picture, { count, lean }).swatches.some(
          ({ colour }) => differs(colour, oklabFromBytes(disc)) < 4,
        ),
      ).length;
    expect(kept('accents', 4)).toBe(3);
    expect(kept('balanced', 8)).toBe(3);
  });

  it('gives the same again, and shares that add to 1', () => {
    fc.assert(
      fc.property(anyPicture, anyCount, (picture, count) => {
        const once = extractPalette(picture, { count });
        expect(extractPalette(picture, { count })).toEqual(once);
        expect(once.swatches.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        expect(once.swatches.every(({ share }) => share >= 0 && share <= 1)).toBe(true);
        const values = once.swatches.map(({ colour }) => valueOfOklab(colour));
        expect([...values].sort((a, b) => a - b)).toEqual(values);
      }),
    );
  });

  it('has fewer swatches than asked for where there are fewer colours', () => {
    const { swatches } = extractPalette(
      paintedBy(4, 4, () => [7, 99, 200]),
      { count: 6 },
    );
    expect(swatches.map(({ colour }) => hexFromOklab(colour))).toEqual(['#0763c8']);
  });

  it('refuses a count outside 2 to 16, and a picture with nothing in it', () => {
    const picture = paintedBy(2, 2, () => [1, 2, 3]);
    for (const count of [0, 1, 17, 3.5])
      expect(() => extractPalette(picture, { count })).toThrow(RangeError);
    expect(() =>
      extractPalette(
        paintedBy(2, 2, () => [1, 2, 3, 0]),
        { count: 4 },
      ),
    ).toThrow(/transparent/);
  });
});

describe('the swatch map', () => {
  it('gives each pixel its nearest swatch and the shares of the extraction', () => {
    const picture = paintedBy(10, 10, (x, y) =>
      y === 9 ? [0, 0, 0, 0] : x < 3 ? [250, 250, 250] : [10, 10, 60],
    );
    const colours = ['#0a0a3c', '#fafafa'].map((hex) => oklabFromHex(hex) as Oklab);
    const map = swatchMap(picture, colours);
    expect(map[0]).toBe(1);
    expect(map[9]).toBe(0);
    expect(map[95]).toBe(NO_SWATCH);
    mapShares(map, 2).forEach((share, i) => expect(share).toBeCloseTo([0.7, 0.3][i], 9));
  });
});
