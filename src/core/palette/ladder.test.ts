import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { inGamut, maxChroma } from '../colour/gamut';
import { oklabFromOklch, oklchFromOklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import { anySrgb } from '../testing';
import { ladder, ladderValues, DEFAULT_LADDER, onLadder, turnedTo } from './ladder';

const settings = fc.record({
  steps: fc.integer({ min: 3, max: 11 }),
  from: fc.double({ min: 0.8, max: 4, noNaN: true }),
  to: fc.double({ min: 6, max: 9.6, noNaN: true }),
  drift: fc.double({ min: -40, max: 40, noNaN: true }),
  swing: fc.double({ min: -180, max: 180, noNaN: true }),
  intensity: fc.double({ min: 0, max: 1, noNaN: true }),
  taper: fc.double({ min: 0, max: 1, noNaN: true }),
});

describe('a ladder', () => {
  it('has tones at its values within 0.05 Munsell steps, all inside sRGB', () => {
    fc.assert(
      fc.property(anySrgb, settings, (colour, told) => {
        const wanted = ladderValues(valueOfOklab(colour), told);
        ladder(colour, told).forEach((sample, i) => {
          expect(Math.abs(valueOfOklab(sample) - wanted[i])).toBeLessThan(0.05);
          expect(inGamut(sample)).toBe(true);
        });
      }),
      { numRuns: 60 },
    );
  });

  it('has the colour itself as a rung, and even steps on either side of it', () => {
    fc.assert(
      fc.property(anySrgb, settings, (colour, told) => {
        const base = valueOfOklab(colour);
        const values = ladderValues(base, told);
        expect(values).toHaveLength(told.steps);
        expect([...values].sort((one, other) => one - other)).toEqual(values);
        const own = values.indexOf(base);
        expect(own).toBeGreaterThanOrEqual(0);
        const as = ladder(colour, { ...told, swing: 0, intensity: 1 });
        expect(ciede2000(labFromOklab(as[own]), labFromOklab(colour))).toBeLessThan(0.01);
        for (const part of [values.slice(0, own + 1), values.slice(own)]) {
          const steps = part.slice(1).map((value, i) => value - part[i]);
          for (const step of steps) expect(step).toBeCloseTo(steps[0], 6);
        }
        if (own > 0) expect(values[0]).toBeCloseTo(told.from, 9);
        if (own < told.steps - 1) expect(values.at(-1)).toBeCloseTo(told.to, 9);
      }),
      { numRuns: 60 },
    );
  });

  it('keeps its hue without a drift, and all of it swings as one', () => {
    const blue = oklabFromOklch({ L: 0.5, C: 0.12, h: 255 });
    for (const sample of ladder(blue, DEFAULT_LADDER))
      expect(oklchFromOklab(sample).h).toBeCloseTo(255, 3);
    for (const sample of ladder(blue, { ...DEFAULT_LADDER, swing: 40 }))
      expect(oklchFromOklab(sample).h).toBeCloseTo(295, 3);
  });

  it('has warm lights and cool darks with a drift, and the reverse with a negative one', () => {
    const red = oklabFromOklch({ L: 0.55, C: 0.1, h: 10 });
    const warmth = (drift: number) => {
      const tones = ladder(red, { ...DEFAULT_LADDER, drift, steps: 7 });
      const hues = tones.map((sample) => oklchFromOklab(sample).h);
      return [hues[0], hues[6]].map((hue) =>
        temperature(oklabFromOklch({ L: 0.5, C: 0.1, h: hue })),
      );
    };
    const [dark, light] = warmth(30);
    expect(light).toBeGreaterThan(dark);
    const [darkBack, lightBack] = warmth(-30);
    expect(lightBack).toBeLessThan(darkBack);
  });

  it('goes grey with its intensity, and duller toward the ends with a taper', () => {
    const green = oklabFromOklch({ L: 0.6, C: 0.12, h: 145 });
    for (const { a, b } of ladder(green, { ...DEFAULT_LADDER, intensity: 0 }))
      expect(Math.hypot(a, b)).toBeLessThan(1e-9);
    const chroma = (taper: number) =>
      ladder(green, { ...DEFAULT_LADDER, taper }).map(({ a, b }) => Math.hypot(a, b));
    expect(chroma(1)[0]).toBeLessThan(chroma(0)[0] / 4);
    expect(chroma(1)[2]).toBeCloseTo(chroma(0)[2], 6);
  });

  it('refuses fewer than 3 and more than 11 steps', () => {
    for (const steps of [2, 12, 4.5])
      expect(() => ladder({ L: 0.5, a: 0, b: 0 }, { ...DEFAULT_LADDER, steps })).toThrow(
        RangeError,
      );
  });

  it('turns hues the short way and never past the pole', () => {
    expect(turnedTo(10, 55, 20)).toBe(30);
    expect(turnedTo(50, 55, 20)).toBe(55);
    expect(turnedTo(350, 55, 20)).toBe(370);
    expect(turnedTo(250, 55, -40)).toBe(235);
  });
});

it('a colour at another value has its own share of chroma there, and never more than it has', () => {
  fc.assert(
    fc.property(anySrgb, fc.double({ min: 0.5, max: 9.5, noNaN: true }), (colour, value) => {
      const tone = onLadder(colour, value);
      const [was, is] = [colour, tone].map(oklchFromOklab);
      expect(Math.abs(valueOfOklab(tone) - value)).toBeLessThan(0.05);
      expect(is.C).toBeLessThanOrEqual(was.C + 1e-3);
      const [had, has] = [was, is].map(({ L, h }) => maxChroma(L, h));
      if (had > 0.02 && has > 0.02 && is.C < was.C - 1e-3)
        expect(Math.abs(is.C / has - Math.min(1, was.C / had))).toBeLessThan(0.06);
    }),
  );
});
