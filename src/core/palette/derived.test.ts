import fc from 'fast-check';
import { inGamut } from '../colour/gamut';
import { oklabFromHex } from '../colour/hex';
import { oklabFromOklch, oklchFromOklab, type Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import { familyOf, PAINTERS_WHEEL, SCREEN_WHEEL } from '../colour/wheel';
import { anySrgb } from '../testing';
import { derived, reasonOf, RULES, type Rule } from './derived';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const by = (colour: Oklab, rule: Rule, amount: number, warmth = 0.5) =>
  derived(colour, rule, { amount, warmth }, PAINTERS_WHEEL);
const chroma = (colour: Oklab) => oklchFromOklab(colour).C;
const value = valueOfOklab;
const anyAmount = fc.double({ min: 0, max: 1, noNaN: true });
/** Colours that have room on every side. */
const ordinary = fc
  .record({
    L: fc.double({ min: 0.35, max: 0.8, noNaN: true }),
    C: fc.double({ min: 0.03, max: 0.08, noNaN: true }),
    h: fc.double({ min: 0, max: 359, noNaN: true }),
  })
  .map(oklabFromOklch)
  .filter(inGamut);
const holds = (check: (colour: Oklab, amount: number) => void) =>
  fc.assert(fc.property(ordinary, anyAmount, check), { numRuns: 80 });
const TINY = 1e-6;
/** Degrees from the warm pole. */
const fromWarm = (colour: Oklab) => Math.abs(((oklchFromOklab(colour).h - 55 + 540) % 360) - 180);

describe('derived colours', () => {
  it('lie within sRGB, and have a reason', () => {
    fc.assert(
      fc.property(anySrgb, anyAmount, fc.constantFrom(...RULES), (colour, amount, rule) => {
        expect(inGamut(by(colour, rule, amount))).toBe(true);
        expect(reasonOf(rule)).toMatch(/\.$/);
      }),
      { numRuns: 120 },
    );
  });

  it('tint: lighter and duller; shade: darker and duller; tone: duller at its own value', () => {
    holds((colour, amount) => {
      const tint = by(colour, 'tint', amount);
      expect(tint.L).toBeGreaterThanOrEqual(colour.L - TINY);
      expect(chroma(tint)).toBeLessThanOrEqual(chroma(colour) + TINY);
      const shade = by(colour, 'shade', amount);
      expect(shade.L).toBeLessThanOrEqual(colour.L + TINY);
      expect(chroma(shade)).toBeLessThanOrEqual(chroma(colour) + TINY);
      const sample = by(colour, 'tone', amount);
      expect(value(sample)).toBeCloseTo(value(colour), 2);
      expect(chroma(sample)).toBeLessThanOrEqual(chroma(colour) + TINY);
    });
  });

  it('shadow: darker, and cooler under a warm light; light: lighter, and warmer', () => {
    holds((colour, amount) => {
      const shadow = by(colour, 'shadow', amount, 1);
      expect(value(shadow)).toBeLessThanOrEqual(value(colour) + 0.01);
      expect(temperature(shadow)).toBeLessThanOrEqual(temperature(colour) + 0.02);
      const light = by(colour, 'light', amount, 1);
      expect(value(light)).toBeGreaterThanOrEqual(value(colour) - 0.01);
      // Toward the warm pole, as far as there is any chroma left to tell.
      if (chroma(light) > 0.01) expect(fromWarm(light)).toBeLessThanOrEqual(fromWarm(colour) + 0.5);
    });
    const grey = of('#808080');
    expect(temperature(by(grey, 'shadow', 1, 1))).toBeLessThan(-0.1);
    expect(temperature(by(grey, 'shadow', 1, -1))).toBeGreaterThan(0.1);
  });

  it('half-tone edge: between the two in value, and stronger', () => {
    holds((colour, amount) => {
      const edge = by(colour, 'half-tone edge', amount);
      const between = (value(colour) + value(by(colour, 'shadow', amount))) / 2;
      expect(value(edge)).toBeCloseTo(between, 1);
    });
    const skin = of('#b98060');
    expect(chroma(by(skin, 'half-tone edge', 0.5))).toBeGreaterThan(chroma(skin));
  });

  it('reflection: toward the middle value, duller; distance: lighter, cooler, duller', () => {
    holds((colour, amount) => {
      const reflection = by(colour, 'reflection', amount);
      expect(Math.abs(value(reflection) - 5)).toBeLessThanOrEqual(
        Math.abs(value(colour) - 5) + 0.01,
      );
      expect(chroma(reflection)).toBeLessThanOrEqual(chroma(colour) + TINY);
      const distance = by(colour, 'distance', amount);
      expect(value(distance)).toBeGreaterThanOrEqual(value(colour) - 0.01);
    });
    const roof = of('#7a3b2a');
    const far = by(roof, 'distance', 0.8);
    expect(temperature(far)).toBeLessThan(temperature(roof));
    expect(chroma(far)).toBeLessThan(chroma(roof));
  });

  it('complements: six families away on the wheel, across the circle for the eye, each at its value', () => {
    const blue = of('#3b5f9e');
    expect(familyOf(by(blue, 'complement on the wheel', 0.5)).name).toBe('orange');
    const screen = derived(
      of('#3030e0'),
      'complement on the wheel',
      { amount: 0.3, warmth: 0 },
      SCREEN_WHEEL,
    );
    expect(familyOf(screen, SCREEN_WHEEL).name).toBe('yellow');
    const after = oklchFromOklab(by(blue, 'complement of the after-image', 0.3));
    expect(Math.abs(after.h - ((oklchFromOklab(blue).h + 180) % 360))).toBeLessThan(0.5);
    holds((colour) => {
      for (const rule of RULES.filter((one) => one.startsWith('complement')))
        expect(value(by(colour, rule, 0.5))).toBeCloseTo(value(colour), 1);
    });
  });

  it('a complement that mixes to grey swallows what the colour gives back', () => {
    const red = of('#b03a30');
    const mixing = familyOf(by(red, 'complement that mixes to grey', 0.5)).name;
    expect(['blue-green', 'green', 'blue']).toContain(mixing);
  });

  it('the neutral that reads as a complement is plain grey of nearly its value', () => {
    holds((colour, amount) => {
      const neutral = by(colour, 'neutral that reads as its complement', amount);
      expect(chroma(neutral)).toBeLessThan(1e-9);
      expect(Math.abs(value(neutral) - value(colour))).toBeLessThan(0.32);
    });
  });
});
