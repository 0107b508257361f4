import fc from 'fast-check';
import { quantileOf } from './quantile';

const numbers = fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: 1 });

describe('a quantile', () => {
  it('is an entry at its place in rising order', () => {
    const five = [9, 1, 7, 3, 5];
    expect([0, 0.2, 0.5, 0.9, 1].map((share) => quantileOf(five, share))).toEqual([1, 3, 5, 9, 9]);
    expect(five).toEqual([9, 1, 7, 3, 5]);
  });

  it('is what sorting would put there, also among many that are equal', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 200 }),
        fc.double({ min: 0, max: 0.999, noNaN: true }),
        (list, share) => {
          const sorted = [...list].sort((one, other) => one - other);
          expect(quantileOf(list, share)).toBe(sorted[Math.floor(share * list.length)]);
        },
      ),
    );
  });

  it('is 0 of nothing', () => {
    expect(quantileOf([], 0.5)).toBe(0);
  });

  it('has no more than its share below it, and rises with the share', () => {
    fc.assert(
      fc.property(numbers, fc.double({ min: 0, max: 1, noNaN: true }), (list, share) => {
        const found = quantileOf(list, share);
        expect(list).toContain(found);
        expect(list.filter((n) => n < found).length).toBeLessThanOrEqual(share * list.length);
        expect(found).toBeLessThanOrEqual(quantileOf(list, 1));
        expect(found).toBeGreaterThanOrEqual(quantileOf(list, 0));
      }),
    );
  });
});
