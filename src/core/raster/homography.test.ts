import fc from 'fast-check';
import {
  composed,
  fittedHomography,
  inverted,
  mapped,
  quadOf,
  squareToQuad,
  type Homography,
} from './homography';

/** Maps that keep the unit square in front of the eye. */
const anyMap = fc
  .tuple(...Array.from({ length: 8 }, () => fc.double({ min: -0.2, max: 0.2, noNaN: true })))
  .map(([a, b, c, d, e, f, g, h]): Homography => [1 + a, b, c, d, 1 + e, f, g, h, 1]);
const anyPlace = fc.tuple(
  fc.double({ min: 0, max: 1, noNaN: true }),
  fc.double({ min: 0, max: 1, noNaN: true }),
);

describe('a homography', () => {
  it('comes back by its inverse, and one after the other is the composition', () => {
    fc.assert(
      fc.property(anyMap, anyMap, anyPlace, (one, other, [x, y]) => {
        const back = mapped(inverted(one), ...mapped(one, x, y));
        expect(back[0]).toBeCloseTo(x, 6);
        expect(back[1]).toBeCloseTo(y, 6);
        const both = mapped(composed(other, one), x, y);
        const turns = mapped(other, ...mapped(one, x, y));
        expect(both[0]).toBeCloseTo(turns[0], 6);
        expect(both[1]).toBeCloseTo(turns[1], 6);
      }),
    );
  });

  it('is found again from where it brings four corners', () => {
    fc.assert(
      fc.property(anyMap, anyPlace, (map, [x, y]) => {
        const found = squareToQuad(quadOf(map))!;
        const [u, v] = mapped(map, x, y);
        const [fu, fv] = mapped(found, x, y);
        expect(Math.hypot(fu - u, fv - v)).toBeLessThan(1e-6);
      }),
    );
  });

  it('is none of fewer than four places', () => {
    expect(fittedHomography([{ from: [0, 0], to: [1, 1] }])).toBeNull();
  });
});
