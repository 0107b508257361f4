import fc from 'fast-check';
import { kMeans } from './k-means';

const point = fc.tuple(
  fc.double({ min: -1, max: 1, noNaN: true }),
  fc.double({ min: -1, max: 1, noNaN: true }),
  fc.double({ min: -1, max: 1, noNaN: true }),
);

describe('k-means', () => {
  it('finds the groups of points that lie apart, each centre in the mean of its own', () => {
    const points = Float64Array.from([0, 0, 0, 0.2, 0, 0, 5, 5, 5, 5, 5.4, 5]);
    const { centres, owner, weights } = kMeans(points, [0.2, 0, 0, 5, 5, 5], 20);
    expect(Array.from(owner)).toEqual([0, 0, 1, 1]);
    expect(Array.from(weights)).toEqual([2, 2]);
    Array.from(centres).forEach((n, i) => expect(n).toBeCloseTo([0.1, 0, 0, 5, 5.2, 5][i], 12));
  });

  it('never gets worse with more rounds, and leaves no point nearer to another centre', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 30 }), (list) => {
        const points = Float64Array.from(list.flat());
        const seeds = points.slice(0, 9);
        let before = Infinity;
        for (const rounds of [1, 2, 5, 50]) {
          const { error } = kMeans(points, seeds, rounds);
          expect(error).toBeLessThanOrEqual(before + 1e-12);
          before = error;
        }
      }),
    );
  });

  it('weighs points as if each stood there as often', () => {
    const once = Float64Array.from([0, 0, 0, 1, 0, 0, 6, 0, 0]);
    const often = Float64Array.from([0, 0, 0, 1, 0, 0, 1, 0, 0, 1, 0, 0, 6, 0, 0]);
    const seeds = [0, 0, 0, 6, 0, 0];
    const weighted = kMeans(once, seeds, 10, Float64Array.from([1, 3, 1]));
    expect(Array.from(weighted.centres)).toEqual(Array.from(kMeans(often, seeds, 10).centres));
  });

  it('keeps a centre that no point is nearest to where it was', () => {
    const { centres, weights } = kMeans(Float64Array.from([0, 0, 0]), [0, 0, 0, 9, 9, 9], 5);
    expect(Array.from(centres)).toEqual([0, 0, 0, 9, 9, 9]);
    expect(Array.from(weights)).toEqual([1, 0]);
  });
});
