import fc from 'fast-check';
import { inGamut } from '../colour/gamut';
import { hexFromOklab, oklabFromHex } from '../colour/hex';
import { intensityShare } from '../colour/intensity';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { EVEN_WHEEL, familyOf, PAINTERS_WHEEL, SCREEN_WHEEL } from '../colour/wheel';
import { SCHEMES } from '../measure/harmony';
import { anySrgb } from '../testing';
import {
  buildHarmony,
  evenValues,
  OFFSETS,
  DEFAULT_INTENSITY,
  schemeFamilies,
} from './build-harmony';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const plan = (scheme: (typeof SCHEMES)[number]) => ({
  scheme,
  values: evenValues(OFFSETS[scheme].length),
  intensity: DEFAULT_INTENSITY,
  intensities: [],
  keepsKey: false,
  tones: 1,
  turn: 0,
  turns: [],
});

describe('a harmony that is built', () => {
  it('stands in the families of its scheme on the painters’ wheel', () => {
    const names = (scheme: (typeof SCHEMES)[number]) =>
      buildHarmony(of('#3b5f9e'), plan(scheme), PAINTERS_WHEEL).map(
        (colour) => familyOf(colour).name,
      );
    expect(names('complement')).toEqual(['blue', 'orange']);
    expect(names('triad')).toEqual(['blue', 'red', 'yellow']);
    expect(names('split complement')).toEqual(['blue', 'red-orange', 'yellow-orange']);
    expect(names('analogous')).toEqual(['blue', 'blue-green', 'blue-violet']);
    expect(schemeFamilies(of('#3b5f9e'), plan('triad'), PAINTERS_WHEEL)).toEqual(names('triad'));
  });

  it('takes its complement from the wheel chosen', () => {
    const [, even] = buildHarmony(of('#3b5f9e'), plan('complement'), EVEN_WHEEL);
    const from = oklchFromOklab(of('#3b5f9e')).h;
    expect(Math.abs(oklchFromOklab(even).h - ((from + 180) % 360))).toBeLessThan(0.5);
    const [, screen] = buildHarmony(of('#0000ff'), plan('complement'), SCREEN_WHEEL);
    expect(familyOf(screen, SCREEN_WHEEL).name).toBe('yellow');
  });

  it('has the values of its plan, the intensity asked for, and nothing outside sRGB', () => {
    fc.assert(
      fc.property(
        anySrgb,
        fc.constantFrom(...SCHEMES),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: -6, max: 6, noNaN: true }),
        (key, scheme, intensity, turn) => {
          const told = { ...plan(scheme), intensity, turn };
          const colours = buildHarmony(key, told, PAINTERS_WHEEL);
          colours.forEach((colour, i) => {
            expect(inGamut(colour)).toBe(true);
            expect(Math.abs(valueOfOklab(colour) - told.values[i])).toBeLessThan(0.05);
            expect(intensityShare(oklchFromOklab(colour))).toBeCloseTo(intensity, 2);
          });
        },
      ),
      { numRuns: 60 },
    );
  });

  it('keeps its key as it is, and turned with its value and strength', () => {
    const key = of('#3b5f9e');
    const kept = { ...plan('triad'), keepsKey: true };
    expect(buildHarmony(key, kept, PAINTERS_WHEEL)[0]).toEqual(key);
    const [turned] = buildHarmony(key, { ...kept, turn: 1 }, PAINTERS_WHEEL);
    expect(familyOf(turned).name).toBe('blue-violet');
    expect(valueOfOklab(turned)).toBeCloseTo(valueOfOklab(key), 2);
    expect(oklchFromOklab(turned).C).toBeCloseTo(oklchFromOklab(key).C, 2);
  });

  it('gives each hue a value and an intensity of its own', () => {
    const told = { ...plan('triad'), values: [3, 6, 8], intensities: [0.4, 0.2, 0.9] };
    buildHarmony(of('#3b5f9e'), told, PAINTERS_WHEEL).forEach((colour, i) => {
      expect(valueOfOklab(colour)).toBeCloseTo(told.values[i], 1);
      expect(intensityShare(oklchFromOklab(colour))).toBeCloseTo(told.intensities[i], 2);
    });
  });

  it('has tones of the key that turn with the accents', () => {
    const key = of('#3b5f9e');
    const told = { ...plan('triad'), keepsKey: true, tones: 5 };
    const colours = buildHarmony(key, told, PAINTERS_WHEEL);
    expect(colours).toHaveLength(3 + 4);
    const family = (colour: Oklab) => familyOf(colour).name;
    expect([colours[0], ...colours.slice(3)].map(family)).toEqual(Array(5).fill('blue'));
    const turned = buildHarmony(key, { ...told, turn: 4 }, PAINTERS_WHEEL);
    expect([turned[0], ...turned.slice(3)].map(family)).toEqual(Array(5).fill('red'));
    expect(turned.slice(1, 3).map(family)).toEqual(['yellow', 'blue']);
    // The key stands among the hues: among its tones it isn't repeated.
    expect(new Set(colours.map(hexFromOklab)).size).toBe(7);
  });

  it('turns all together, or one alone', () => {
    const told = plan('triad');
    const turned = buildHarmony(of('#3b5f9e'), { ...told, turn: 1 }, PAINTERS_WHEEL);
    expect(turned.map((colour) => familyOf(colour).name)).toEqual([
      'blue-violet',
      'red-orange',
      'yellow-green',
    ]);
    const alone = buildHarmony(of('#3b5f9e'), { ...told, turns: [0, 2] }, PAINTERS_WHEEL);
    expect(alone.map((colour) => familyOf(colour).name)).toEqual(['blue', 'orange', 'yellow']);
  });
});
