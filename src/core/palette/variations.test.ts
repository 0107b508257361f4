import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { inGamut } from '../colour/gamut';
import { oklabFromHex } from '../colour/hex';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import { anySrgb } from '../testing';
import { MAX_VARIATIONS, MIN_VARIATIONS, VARIED_BY, variationsOf } from './variations';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const meanOf = (colours: readonly Oklab[]): Oklab => {
  const part = (key: keyof Oklab) =>
    colours.reduce((sum, colour) => sum + colour[key], 0) / colours.length;
  return { L: part('L'), a: part('a'), b: part('b') };
};

describe('variations of a colour', () => {
  it('stay within 0.15 step of its value, inside sRGB, and mean the colour itself', () => {
    fc.assert(
      fc.property(
        anySrgb,
        fc.constantFrom(...VARIED_BY),
        fc.integer({ min: MIN_VARIATIONS, max: MAX_VARIATIONS }),
        (colour, by, count) => {
          const parts = [
            { colour: { ...colour, a: colour.a + 0.03 }, share: 0.6 },
            { colour: { ...colour, b: colour.b - 0.04 }, share: 0.4 },
          ];
          const found = variationsOf(colour, by, count, parts);
          expect(found).toHaveLength(count);
          for (const one of found) {
            expect(Math.abs(valueOfOklab(one) - valueOfOklab(colour))).toBeLessThan(0.15);
            expect(inGamut(one)).toBe(true);
          }
          expect(ciede2000(labFromOklab(meanOf(found)), labFromOklab(colour))).toBeLessThan(0.05);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('go along what they are asked to', () => {
    const green = of('#5f7a4c');
    const ends = (by: (typeof VARIED_BY)[number]) => {
      const found = variationsOf(green, by, 5);
      return [found[0], found[4]];
    };
    const [left, right] = ends('family').map((one) => oklchFromOklab(one).h);
    expect(Math.abs(left - right)).toBeGreaterThan(20);
    const [dull, strong] = ends('intensity').map((one) => oklchFromOklab(one));
    expect(strong.C).toBeGreaterThan(dull.C + 0.03);
    expect(strong.h).toBeCloseTo(dull.h, 1);
    const [cool, warm] = ends('temperature').map((one) => temperature(one));
    expect(warm).toBeGreaterThan(cool + 0.3);
  });

  it('follow the colours of the place it was taken from', () => {
    const brown = of('#80684f');
    const parts = [
      { colour: { ...brown, a: brown.a + 0.02 }, share: 0.5 },
      { colour: { ...brown, a: brown.a - 0.02 }, share: 0.5 },
    ];
    const [first, , last] = variationsOf(brown, 'picture', 3, parts);
    expect(Math.abs(last.a - first.a)).toBeCloseTo(0.06, 3);
    expect(last.b).toBeCloseTo(first.b, 6);
  });

  it('are three to eight', () => {
    for (const count of [2, 9, 3.5])
      expect(() => variationsOf(of('#80684f'), 'family', count)).toThrow(RangeError);
  });
});
