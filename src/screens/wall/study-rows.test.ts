import fc from 'fast-check';
import { GAP, PICTURE_HEIGHT, rowsWithin, studyWidth } from './study-rows';

describe('studies in rows', () => {
  it('fill each row but the last, whole and of one height', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.4, max: 3, noNaN: true }), { maxLength: 60 }),
        fc.integer({ min: 320, max: 2400 }),
        (aspects, width) => {
          const rows = rowsWithin(aspects, width);
          expect(rows.flatMap(({ places }) => places)).toEqual(aspects.map((_, at) => at));
          rows.forEach(({ places, height, widths }, i) => {
            const taken = widths.reduce((sum, one) => sum + one, GAP * (widths.length - 1));
            expect(taken).toBeLessThan(width + 1);
            expect(height).toBeGreaterThan(80);
            expect(height).toBeLessThanOrEqual(320);
            places.forEach((at, k) =>
              expect(widths[k]).toBeCloseTo(Math.min(width, studyWidth(aspects[at], height)), 6),
            );
            // Full, unless a tall one alone would be blown up.
            if (i < rows.length - 1 && height < 320) expect(taken).toBeGreaterThan(width - 1);
          });
        },
      ),
      { numRuns: 100 },
    );
  });

  it('hang near the usual height on a wide wall', () => {
    const rows = rowsWithin([1.4, 1.5, 0.75, 1.33, 1.5, 1, 1.4, 0.8, 1.43], 1230);
    for (const { height } of rows.slice(0, -1))
      expect(Math.abs(height - PICTURE_HEIGHT)).toBeLessThan(60);
  });

  it('are none for none, and one a row where there is room for no more', () => {
    expect(rowsWithin([], 700)).toEqual([]);
    expect(rowsWithin([1.4, 1.5], 360).map(({ places }) => places)).toEqual([[0], [1]]);
  });
});
