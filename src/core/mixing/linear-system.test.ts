import fc from 'fast-check';
import { solved } from './linear-system';

it('what solves a system gives its right side again', () => {
  const entry = fc.double({ min: -3, max: 3, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(fc.array(entry, { minLength: 4, maxLength: 4 }), { minLength: 3, maxLength: 3 }),
      (coefficients) => {
        // Large on the diagonal, so that it can be solved.
        const rows = coefficients.map((row, i) => row.map((at, j) => (i === j ? at + 10 : at)));
        const solution = solved(rows.map((row) => [...row]));
        for (const row of rows) {
          const left = solution.reduce((sum, x, j) => sum + row[j] * x, 0);
          expect(left).toBeCloseTo(row[3], 9);
        }
      },
    ),
  );
});

it('a first coefficient of 0 is no obstacle', () => {
  expect(
    solved([
      [0, 1, 2],
      [1, 0, 3],
    ]),
  ).toEqual([3, 2]);
});
