import fc from 'fast-check';
import { boxSums } from './box-sums';

describe('sums over windows', () => {
  it('are what adding up each window gives, at the rims too', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 0, max: 12 }),
        fc.integer({ min: 1, max: 3 }),
        (width, height, reach, of) => {
          const before = Float64Array.from({ length: width * height * of }, (_, i) => (i * 7) % 11);
          const after = before.slice();
          boxSums(after, width, height, of, reach);
          for (let c = 0; c < width * height; c++)
            for (let k = 0; k < of; k++) {
              let sum = 0;
              for (let d = 0; d < width * height; d++) {
                const across = Math.abs((d % width) - (c % width));
                const down = Math.abs(Math.floor(d / width) - Math.floor(c / width));
                if (across <= reach && down <= reach) sum += before[d * of + k];
              }
              expect(after[c * of + k]).toBeCloseTo(sum, 9);
            }
        },
      ),
    );
  });
});
