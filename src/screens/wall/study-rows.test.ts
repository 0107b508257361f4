import fc from 'fast-check';
import { GAP, rowsWithin, studyWidth } from './study-rows';

describe('studies in rows', () => {
  it('wrap where the next one does not fit', () => {
    const rows = rowsWithin([1, 1, 1, 2, 0.5], 700);
    expect(rows).toEqual([
      [0, 1, 2],
      [3, 4],
    ]);
    expect(rowsWithin([], 700)).toEqual([]);
    expect(rowsWithin([9], 100)).toHaveLength(1);
  });

  it('keep their order, fill each row, and never overhang it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 5, noNaN: true }), { maxLength: 60 }),
        fc.integer({ min: 200, max: 2000 }),
        (aspects, width) => {
          const rows = rowsWithin(aspects, width);
          expect(rows.flat()).toEqual(aspects.map((_, at) => at));
          const taken = rows.map((row) =>
            row.reduce((sum, at) => sum + studyWidth(aspects[at]) + GAP, -GAP),
          );
          rows.forEach((row, i) => {
            if (row.length > 1) expect(taken[i]).toBeLessThanOrEqual(width);
            const next = rows[i + 1]?.[0];
            if (next !== undefined)
              expect(taken[i] + GAP + studyWidth(aspects[next])).toBeGreaterThan(width);
          });
        },
      ),
    );
  });
});
