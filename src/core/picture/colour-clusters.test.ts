import fc from 'fast-check';
import { anyPicture, paintedBy } from '../testing';
import { oklabFromBytes } from '../colour/hex';
import { colourClusters } from './colour-clusters';
import { probe } from './probe';

type Bytes = [number, number, number];
const MIDDLE = { x: 0.5, y: 0.5 };
const GREEN: Bytes = [120, 150, 40];
const VIOLET: Bytes = [110, 70, 130];
const CREAM: Bytes = [235, 225, 190];

describe('the colours that make an average', () => {
  it('are found with their shares', () => {
    // A green that is a yellow-green over a violet, three parts to one.
    const weave = paintedBy(80, 80, (x, y) => ((x + 2 * y) % 4 === 0 ? VIOLET : GREEN));
    const found = colourClusters(weave, MIDDLE, 0.3)!;
    expect(found).toHaveLength(2);
    [GREEN, VIOLET].forEach((bytes, i) => {
      const { L, a, b } = oklabFromBytes(bytes);
      const { colour } = found[i];
      expect(Math.hypot(colour.L - L, colour.a - a, colour.b - b)).toBeLessThan(1e-6);
    });
    expect(found[0].share).toBeCloseTo(0.75, 1);
  });

  it('are three where there are three, and one where there is one', () => {
    const three = paintedBy(90, 90, (x) => [GREEN, VIOLET, CREAM][x % 3]);
    expect(colourClusters(three, MIDDLE, 0.3)).toHaveLength(3);
    const grain = paintedBy(90, 90, (x, y) => {
      const by = ((x * 7 + y * 13) % 5) - 2;
      return [120 + by, 150 + by, 40 + by];
    });
    expect(colourClusters(grain, MIDDLE, 0.3)).toHaveLength(1);
    expect(colourClusters(grain, { x: 2, y: 2 }, 0.01)).toBeNull();
  });

  it('make the average that a probe reads, whatever the picture', () => {
    fc.assert(
      fc.property(anyPicture, fc.double({ min: 0.1, max: 0.6, noNaN: true }), (picture, radius) => {
        const found = colourClusters(picture, MIDDLE, radius);
        const read = probe(picture, MIDDLE, radius);
        expect(found === null).toBe(read === null);
        if (!found || !read) return;
        expect(found.length).toBeLessThanOrEqual(4);
        expect(found.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        for (const key of ['L', 'a', 'b'] as const)
          expect(
            found.reduce((sum, { share, colour }) => sum + share * colour[key], 0),
          ).toBeCloseTo(read.colour[key], 6);
      }),
      { numRuns: 60 },
    );
  });
});
