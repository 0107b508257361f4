import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { ciede2000 } from './ciede2000';
import type { Lab } from './cielab';

interface Published {
  pairs: { a: [number, number, number]; b: [number, number, number]; deltaE00: number }[];
}
const { pairs }: Published = JSON.parse(
  readFileSync(new URL('./testing/ciede2000.json', import.meta.url), 'utf8'),
);
const lab = ([L, a, b]: readonly number[]): Lab => ({ L, a, b });
const anyLab = fc.record({
  L: fc.double({ min: 0, max: 100, noNaN: true }),
  a: fc.double({ min: -110, max: 110, noNaN: true }),
  b: fc.double({ min: -110, max: 110, noNaN: true }),
});

describe('CIEDE2000', () => {
  it('has all 34 published pairs to test against', () => {
    expect(pairs).toHaveLength(34);
  });

  it.each(pairs)('gives $deltaE00 between $a and $b', ({ a, b, deltaE00 }) => {
    expect(Math.abs(ciede2000(lab(a), lab(b)) - deltaE00)).toBeLessThan(1e-4);
  });

  it('is symmetric, never negative, and nothing between a colour and itself', () => {
    fc.assert(
      fc.property(anyLab, anyLab, (one, other) => {
        expect(ciede2000(one, other)).toBeGreaterThanOrEqual(0);
        expect(ciede2000(one, other)).toBeCloseTo(ciede2000(other, one), 9);
        expect(ciede2000(one, one)).toBe(0);
      }),
    );
  });
});
