import fc from 'fast-check';
import { anyPicture, greyBytes, paintedBy } from '../testing';
import type { Picture } from './picture';
import { MAX_SQUINT, squint } from './squint';
import { valueMap, valueOfBin } from './value-map';

/** Reads values off a picture whose map is made once. */
function reader(picture: Picture) {
  const map = valueMap(picture);
  const at = (x: number, y: number) => valueOfBin(map[y * picture.width + x]);
  /** The standard deviation of value inside a box. */
  const spread = (x0: number, y0: number, x1: number, y1: number) => {
    let n = 0;
    let sum = 0;
    let squares = 0;
    for (let y = y0; y < y1; y++)
      for (let x = x0; x < x1; x++) {
        const value = at(x, y);
        n++;
        sum += value;
        squares += value * value;
      }
    return Math.sqrt(Math.max(0, squares / n - (sum / n) ** 2));
  };
  return { at, spread };
}

describe('the squint', () => {
  it('leaves the picture alone at nothing, and refuses more than it can', () => {
    const picture = paintedBy(40, 30, (x) => greyBytes(x / 5));
    expect(squint(picture, 0)).toBe(picture);
    for (const radius of [-0.01, MAX_SQUINT + 0.001, NaN])
      expect(() => squint(picture, radius)).toThrow(RangeError);
  });

  it('merges grain within a shape and keeps the edge between two', () => {
    const speckled = paintedBy(160, 120, (x, y) => {
      const noise = ((x * 7 + y * 13) % 5) * 0.25 - 0.5;
      return greyBytes((x < 80 ? 3 : 7) + noise);
    });
    const out = reader(squint(speckled, 0.02));
    expect(reader(speckled).spread(10, 10, 60, 110)).toBeGreaterThan(0.3);
    expect(out.spread(10, 10, 60, 110)).toBeLessThan(0.12);
    // Two pixels on either side of the edge are still on their own side.
    for (let y = 5; y < 115; y++) {
      expect(out.at(77, y)).toBeLessThan(4);
      expect(out.at(82, y)).toBeGreaterThan(6);
    }
  });

  it('loses what is smaller than its radius and keeps what is larger', () => {
    const dotted = paintedBy(200, 200, (x, y) => {
      const dot = (x - 50) ** 2 + (y - 50) ** 2 < 4;
      const disc = (x - 130) ** 2 + (y - 130) ** 2 < 900;
      return greyBytes(dot || disc ? 2 : 8);
    });
    const out = reader(squint(dotted, 0.04));
    expect(out.at(50, 50)).toBeGreaterThan(5);
    expect(out.at(130, 130)).toBeLessThan(2.6);
  });

  it('makes no value outside its neighbourhood’s range', () => {
    fc.assert(
      fc.property(anyPicture, fc.double({ min: 0.06, max: 1, noNaN: true }), (small, part) => {
        // Enlarged, so that a radius of some pixels is within what can be squinted.
        const times = 6;
        const picture = paintedBy(small.width * times, small.height * times, (x, y) => {
          const at = (Math.floor(y / times) * small.width + Math.floor(x / times)) * 4;
          const [r, g, b, alpha] = small.data.subarray(at, at + 4);
          return [r, g, b, alpha];
        });
        const radius = MAX_SQUINT * part;
        const out = squint(picture, radius);
        const before = valueMap(picture);
        const after = valueMap(out);
        const reach = Math.ceil(2 * radius * Math.hypot(picture.width, picture.height)) + 6;
        const { width, height } = picture;
        for (let y = 0; y < height; y += 9)
          for (let x = 0; x < width; x += 9) {
            const p = y * width + x;
            expect(after[p] === 255).toBe(before[p] === 255);
            if (after[p] === 255) continue;
            let low = 255;
            let high = 0;
            for (let j = Math.max(0, y - reach); j < Math.min(height, y + reach + 1); j++)
              for (let i = Math.max(0, x - reach); i < Math.min(width, x + reach + 1); i++) {
                const bin = before[j * width + i];
                if (bin === 255) continue;
                low = Math.min(low, bin);
                high = Math.max(high, bin);
              }
            // A byte of rounding is at most three bins, in the darkest darks.
            expect(after[p]).toBeGreaterThanOrEqual(low - 3);
            expect(after[p]).toBeLessThanOrEqual(high + 3);
          }
      }),
      { numRuns: 15 },
    );
  });

  it('keeps the light that a flat colour has, and its hue', () => {
    const flat = paintedBy(60, 60, () => [180, 90, 40]);
    const out = squint(flat, 0.03);
    for (let i = 0; i < out.data.length; i += 4) {
      expect(Math.abs(out.data[i] - 180)).toBeLessThanOrEqual(1);
      expect(Math.abs(out.data[i + 1] - 90)).toBeLessThanOrEqual(1);
      expect(Math.abs(out.data[i + 2] - 40)).toBeLessThanOrEqual(1);
    }
  });
});
