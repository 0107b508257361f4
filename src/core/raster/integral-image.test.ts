import fc from 'fast-check';
import { boxSum, integralImage } from './integral-image';

describe('an integral image', () => {
  it('gives what adding up the cells of a box gives, in every channel', () => {
    const cases = fc
      .tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 1, max: 7 }))
      .chain(([width, height]) =>
        fc.record({
          width: fc.constant(width),
          height: fc.constant(height),
          numbers: fc.array(fc.integer({ min: -9, max: 9 }), {
            minLength: width * height,
            maxLength: width * height,
          }),
          x: fc.tuple(fc.nat(width), fc.nat(width)),
          y: fc.tuple(fc.nat(height), fc.nat(height)),
        }),
      );
    fc.assert(
      fc.property(cases, ({ width, height, numbers, x, y }) => {
        const table = integralImage(width, height, 2, (cell, out) => {
          if (numbers[cell] === 0) return;
          out[0] = numbers[cell];
          out[1] = 1;
        });
        const [x0, x1] = x.sort((a, b) => a - b);
        const [y0, y1] = y.sort((a, b) => a - b);
        const inside = numbers.filter((_, cell) => {
          const column = cell % width;
          const row = Math.floor(cell / width);
          return column >= x0 && column < x1 && row >= y0 && row < y1;
        });
        const found = new Float64Array(2);
        boxSum(table, x0, y0, x1, y1, found);
        expect(Array.from(found)).toEqual([
          inside.reduce((sum, n) => sum + n, 0),
          inside.filter((n) => n !== 0).length,
        ]);
      }),
    );
  });
});
