import fc from 'fast-check';
import { anySrgb } from '../testing';
import { atValue, withValue } from './at-value';
import { inGamut, maxChroma } from './gamut';
import { oklchFromOklab } from './oklab';
import { valueOfOklab } from './value';

const anyValue = fc.double({ min: 0.2, max: 9.8, noNaN: true });
const anyHue = fc.double({ min: 0, max: 359.9, noNaN: true });

describe('a colour of a value', () => {
  it('has that value, its hue, and lies within sRGB, however strong it is to be', () => {
    fc.assert(
      fc.property(
        anyValue,
        anyHue,
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        (value, hue, share) => {
          const colour = atValue(value, hue, (L) => share * maxChroma(L, hue));
          expect(Math.abs(valueOfOklab(colour) - value)).toBeLessThan(0.01);
          expect(inGamut(colour)).toBe(true);
          const { C, h } = oklchFromOklab(colour);
          if (C > 1e-4) expect(Math.abs(((h - hue + 540) % 360) - 180)).toBeLessThan(1e-4);
        },
      ),
      { numRuns: 80 },
    );
  });

  it('is the colour itself at its own value', () => {
    fc.assert(
      fc.property(anySrgb, (colour) => {
        const value = valueOfOklab(colour);
        fc.pre(value > 0.1 && value < 9.9);
        const same = withValue(colour, value);
        expect(same.L).toBeCloseTo(colour.L, 3);
        expect(same.a).toBeCloseTo(colour.a, 2);
        expect(same.b).toBeCloseTo(colour.b, 2);
      }),
      { numRuns: 80 },
    );
  });
});
