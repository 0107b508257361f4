import fc from 'fast-check';
import { bilinear } from './bilinear';

const at = (numbers: number[], width: number, channels: number, x: number, y: number) => {
  const out = new Float64Array(channels);
  bilinear(Float32Array.from(numbers), width, channels, x, y, out);
  return Array.from(out);
};

describe('bilinear interpolation', () => {
  it('gives a plane back exactly, in each channel', () => {
    const plane = (x: number, y: number) => [2 * x - 3 * y + 1, y];
    const numbers = [0, 1, 2].flatMap((y) => [0, 1, 2, 3].flatMap((x) => plane(x, y)));
    const place = fc.tuple(
      fc.double({ min: 0, max: 3, noNaN: true }),
      fc.double({ min: 0, max: 2, noNaN: true }),
    );
    fc.assert(
      fc.property(place, ([x, y]) => {
        at(numbers, 4, 2, x, y).forEach((n, k) => expect(n).toBeCloseTo(plane(x, y)[k], 9));
      }),
    );
  });

  it('holds the edge beyond it, and does with a single cell, row or column', () => {
    expect(at([1, 2, 3, 4], 2, 1, -5, 9)).toEqual([3]);
    expect(at([7], 1, 1, 0.5, 0.5)).toEqual([7]);
    expect(at([1, 3], 2, 1, 0.5, 4)).toEqual([2]);
    expect(at([1, 3], 1, 1, 4, 0.5)).toEqual([2]);
  });
});
