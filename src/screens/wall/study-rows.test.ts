import fc from 'fast-check';
import { GAP, rowsWithin, studyWidth } from './study-rows';

const studies = (aspects: readonly number[]) => aspects.map((aspect, id) => ({ id, aspect }));

describe('studies in rows', () => {
  it('wrap where the next one does not fit', () => {
    const rows = rowsWithin(studies([1, 1, 1, 2, 0.5]), 700);
    expect(rows.map((row) => row.map(({ id }) => id))).toEqual([
      [0, 1, 2],
      [3, 4],
    ]);
    expect(rowsWithin([], 700)).toEqual([]);
    expect(rowsWithin(studies([9]), 100)).toHaveLength(1);
  });

  it('keep their order, fill each row, and never overhang it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 5, noNaN: true }), { maxLength: 60 }),
        fc.integer({ min: 200, max: 2000 }),
        (aspects, width) => {
          const rows = rowsWithin(studies(aspects), width);
          expect(rows.flat().map(({ id }) => id)).toEqual(aspects.map((_, id) => id));
          const taken = rows.map((row) =>
            row.reduce((sum, { aspect }) => sum + studyWidth(aspect) + GAP, -GAP),
          );
          rows.forEach((row, i) => {
            if (row.length > 1) expect(taken[i]).toBeLessThanOrEqual(width);
            const next = rows[i + 1]?.[0];
            if (next) expect(taken[i] + GAP + studyWidth(next.aspect)).toBeGreaterThan(width);
          });
        },
      ),
    );
  });
});
