import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { hexFromOklab, oklabFromBytes, oklabFromHex, type Bytes } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { anyPicture, anySrgb, paintedBy } from '../testing';
import { extractPalette } from './extract';
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
    const { swatches, meanDifference } = extractPalette(picture, 3);
    expect(swatches.map(({ colour }) => hexFromOklab(colour))).toEqual([
      '#141830',
      '#963c28',
      '#f0dcb4',
    ]);
    swatches.forEach(({ share }, i) => expect(share).toBeCloseTo([0.5, 0.3, 0.2][i], 9));
    expect(meanDifference).toBeLessThan(1e-3);
  });

  it('says where each swatch is at home', () => {
    const picture = paintedBy(80, 80, (x, y) =>
      x > 60 && y < 20 ? [220, 30, 30] : [90, 100, 110],
    );
    const red = extractPalette(picture, 2).swatches.find(({ share }) => share < 0.5);
    expect(red?.home?.x).toBeGreaterThan(0.75);
    expect(red?.home?.y).toBeLessThan(0.25);
  });

  it('keeps a small strong accent among many greys', () => {
    const picture = paintedBy(200, 200, (x, y) => {
      if (x >= 90 && x < 116 && y >= 100 && y < 122) return [205, 35, 30]; // 1.4 % of it
      const grey = 40 + Math.round(170 * ((x + y) / 400) + 20 * Math.sin(x / 9));
      return [grey, grey, Math.min(255, grey + 8)];
    });
    const { swatches } = extractPalette(picture, 8);
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
          const { swatches } = extractPalette(picture, count, keep);
          expect(swatches.slice(0, keep.length).map(({ colour }) => colour)).toEqual(keep);
          expect(swatches.length).toBeLessThanOrEqual(Math.max(count, keep.length));
        },
      ),
    );
  });

  it('gives the same again, and shares that add to 1', () => {
    fc.assert(
      fc.property(anyPicture, anyCount, (picture, count) => {
        const once = extractPalette(picture, count);
        expect(extractPalette(picture, count)).toEqual(once);
        expect(once.swatches.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        expect(once.swatches.every(({ share }) => share >= 0 && share <= 1)).toBe(true);
        const lightness = once.swatches.map(({ colour }) => colour.L);
        expect([...lightness].sort((a, b) => a - b)).toEqual(lightness);
      }),
    );
  });

  it('has fewer swatches than asked for where there are fewer colours', () => {
    const { swatches } = extractPalette(
      paintedBy(4, 4, () => [7, 99, 200]),
      6,
    );
    expect(swatches.map(({ colour }) => hexFromOklab(colour))).toEqual(['#0763c8']);
  });

  it('refuses a count outside 2 to 16, and a picture with nothing in it', () => {
    const picture = paintedBy(2, 2, () => [1, 2, 3]);
    for (const count of [0, 1, 17, 3.5])
      expect(() => extractPalette(picture, count)).toThrow(RangeError);
    expect(() =>
      extractPalette(
        paintedBy(2, 2, () => [1, 2, 3, 0]),
        4,
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
