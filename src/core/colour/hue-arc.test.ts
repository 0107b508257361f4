import fc from 'fast-check';
import { inHueArc } from './hue-arc';

describe('an arc of hue', () => {
  it('holds its start and not its end, and goes through 0 where it starts above its end', () => {
    expect([10, 20, 29.9, 30].map((hue) => inHueArc(hue, 10, 30))).toEqual([
      true,
      true,
      true,
      false,
    ]);
    expect([350, 0, 9, 10, 180].map((hue) => inHueArc(hue, 350, 10))).toEqual([
      true,
      true,
      true,
      false,
      false,
    ]);
  });

  it('and the arc from its end to its start share the circle between them', () => {
    const degrees = fc.double({ min: 0, max: 359.99, noNaN: true });
    fc.assert(
      fc.property(degrees, degrees, degrees, (hue, from, to) => {
        fc.pre(from !== to);
        expect(inHueArc(hue, from, to)).toBe(!inHueArc(hue, to, from));
      }),
    );
  });
});
