import fc from 'fast-check';
import { oklabFromBytes } from '../colour/hex';
import { oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { anyBytes, anyPicture, paintedBy } from '../testing';
import { develop } from './develop';
import { takeOutCast } from './neutral';
import { countOpaque, pictureOf } from './picture';
import { probe } from './probe';
import { greyPicture, NO_VALUE, valueCounts, valueMap, valueOfBin } from './value-map';
import { veil } from './veil';

describe('a picture', () => {
  it('has to fit its bytes', () => {
    expect(() => pictureOf(2, 2, new Uint8ClampedArray(15))).toThrow(RangeError);
    expect(() => pictureOf(0, 2, new Uint8ClampedArray(0))).toThrow(RangeError);
    expect(() => pictureOf(1.5, 2, new Uint8ClampedArray(12))).toThrow(RangeError);
  });
});

describe('the value map', () => {
  it('has each pixel within half a bin of its value, and none for a transparent one', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        const map = valueMap(picture);
        for (let p = 0; p < map.length; p++) {
          const [r, g, b, alpha] = picture.data.slice(p * 4, p * 4 + 4);
          if (alpha < 128) expect(map[p]).toBe(NO_VALUE);
          else
            expect(
              Math.abs(valueOfBin(map[p]) - valueOfOklab(oklabFromBytes([r, g, b]))),
            ).toBeLessThan(0.027);
        }
        const total = valueCounts(map).reduce((sum, n) => sum + n, 0);
        expect(total).toBe(countOpaque(picture));
      }),
    );
  });

  it('parts two reds of one HSV brightness by more than three steps', () => {
    const map = valueMap(paintedBy(2, 1, (x) => (x === 0 ? [230, 20, 20] : [230, 160, 160])));
    expect(valueOfBin(map[1]) - valueOfBin(map[0])).toBeGreaterThan(2);
  });
});

describe('greys', () => {
  it('keep every value and lose every hue', () => {
    fc.assert(
      fc.property(anyBytes, ([r, g, b]) => {
        const { data } = greyPicture(paintedBy(1, 1, () => [r, g, b]));
        expect(data[0]).toBe(data[1]);
        expect(data[1]).toBe(data[2]);
        const before = valueOfOklab(oklabFromBytes([r, g, b]));
        const after = valueOfOklab(oklabFromBytes([data[0], data[0], data[0]]));
        expect(Math.abs(before - after)).toBeLessThan(0.04);
      }),
    );
  });
});

describe('the neutral point', () => {
  it('makes the clicked colour grey and keeps its value', () => {
    fc.assert(
      fc.property(
        fc.tuple(
          fc.integer({ min: 90, max: 200 }),
          fc.integer({ min: 90, max: 200 }),
          fc.integer({ min: 90, max: 200 }),
        ),
        (bytes) => {
          const cast = oklabFromBytes(bytes);
          const { data } = takeOutCast(
            paintedBy(1, 1, () => bytes),
            cast,
          );
          const after = oklabFromBytes([data[0], data[1], data[2]]);
          expect(oklchFromOklab(after).C).toBeLessThan(0.006);
          expect(Math.abs(valueOfOklab(after) - valueOfOklab(cast))).toBeLessThan(0.05);
        },
      ),
    );
  });

  it('keeps values of strong colours that would leave the gamut, and leaves the picture given alone', () => {
    const picture = paintedBy(
      3,
      1,
      (x) =>
        [
          [255, 240, 200],
          [255, 40, 0],
          [0, 0, 255],
        ][x] as [number, number, number],
    );
    const before = picture.data.slice();
    const corrected = takeOutCast(picture, oklabFromBytes([235, 200, 150]));
    expect(picture.data).toEqual(before);
    for (let p = 0; p < 3; p++) {
      const at = (d: Uint8ClampedArray) =>
        valueOfOklab(oklabFromBytes([d[p * 4], d[p * 4 + 1], d[p * 4 + 2]]));
      // A new white moves values of strong colours a little; it never throws them about.
      expect(Math.abs(at(corrected.data) - at(before))).toBeLessThan(1.2);
    }
  });

  it('refuses black, which says nothing of the light', () => {
    const picture = paintedBy(1, 1, () => [9, 9, 9]);
    expect(() => takeOutCast(picture, { L: 0, a: 0, b: 0 })).toThrow(RangeError);
  });

  it('is applied after the framing', () => {
    const picture = paintedBy(10, 10, (x) => (x < 5 ? [180, 160, 120] : [20, 20, 200]));
    const developed = develop(picture, {
      framing: { angle: 0, crop: { x: 0, y: 0, width: 0.5, height: 1 } },
      cast: oklabFromBytes([180, 160, 120]),
    });
    expect(developed.width).toBe(5);
    expect(
      Math.max(...developed.data.slice(0, 3)) - Math.min(...developed.data.slice(0, 3)),
    ).toBeLessThan(3);
  });
});

describe('the probe', () => {
  const halves = paintedBy(40, 40, (x) => (x < 20 ? [200, 40, 40] : [40, 40, 200]));

  it('gives a flat area its colour and no spread', () => {
    const found = probe(halves, { x: 0.2, y: 0.5 }, 0.05);
    expect(found?.spread).toBeLessThan(1e-6);
    expect(found?.colour.L).toBeCloseTo(oklabFromBytes([200, 40, 40]).L, 9);
  });

  it('averages by area and tells the spread', () => {
    const found = probe(halves, { x: 0.5, y: 0.5 }, 0.1);
    const red = oklabFromBytes([200, 40, 40]);
    const blue = oklabFromBytes([40, 40, 200]);
    expect(found?.colour.a).toBeCloseTo((red.a + blue.a) / 2, 2);
    expect(found?.spread).toBeGreaterThan(10);
  });

  it('reads one pixel at radius 0, and nothing outside or where all is transparent', () => {
    expect(probe(halves, { x: 0.9, y: 0.5 }, 0)?.pixels).toBe(1);
    expect(probe(halves, { x: 1.4, y: 0.5 }, 0)).toBeNull();
    expect(
      probe(
        paintedBy(4, 4, () => [9, 9, 9, 0]),
        { x: 0.5, y: 0.5 },
        0.3,
      ),
    ).toBeNull();
  });

  it('does not depend on the size of the copy', () => {
    const scene = (side: number) =>
      paintedBy(side, side, (x, y) => [
        Math.round((x / side) * 255),
        Math.round((y / side) * 255),
        90,
      ]);
    const small = probe(scene(200), { x: 0.4, y: 0.6 }, 0.05);
    const large = probe(scene(800), { x: 0.4, y: 0.6 }, 0.05);
    expect(Math.abs((small?.colour.L ?? 0) - (large?.colour.L ?? 1))).toBeLessThan(0.004);
  });
});

describe('the veil', () => {
  it('covers what is not shown and nothing else', () => {
    const { data } = veil(Uint8Array.from([0, 1, 2, 255]), 4, 1, (entry) => entry === 1, 255);
    expect([data[3], data[7], data[11], data[15]].map((alpha) => alpha > 0)).toEqual([
      true,
      false,
      true,
      false,
    ]);
  });
});
