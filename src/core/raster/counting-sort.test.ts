import fc from 'fast-check';
import { countingSort } from './counting-sort';

describe('counting sort', () => {
  it('orders keys as sorting them by ten thousandths does, equal ones as they came', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1.2, noNaN: true })), (keys) => {
        const step = (key: number) => Math.min(9999, Math.round(key * 10_000));
        const expected = [...keys.keys()].sort((i, j) => step(keys[i]) - step(keys[j]) || i - j);
        expect(Array.from(countingSort(keys))).toEqual(expected);
      }),
    );
  });
});
