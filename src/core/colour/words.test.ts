import fc from 'fast-check';
import { anySrgb } from '../testing';
import { everydayName } from './everyday';
import { inGamut, maxChroma, toGamut } from './gamut';
import { oklabFromHex } from './hex';
import { intensityShare, intensityWord } from './intensity';
import { colourName, nameParts, paletteNames, shortName } from './name';
import { oklabFromOklch, oklchFromOklab, type Oklab } from './oklab';
import { temperature } from './temperature';
import {
  familyOfHue,
  hueAtPosition,
  oppositeHue,
  PAINTERS_WHEEL,
  SCREEN_WHEEL,
  WHEELS,
  wheelPosition,
} from './wheel';
import { familyOf } from './wheel';

const of = (hex: string): Oklab => oklabFromHex(hex) as Oklab;
const anyHue = fc.double({ min: 0, max: 359.999, noNaN: true });

describe('families', () => {
  it.each(PAINTERS_WHEEL.families.map((name, i) => ({ name, hue: PAINTERS_WHEEL.centres[i] })))(
    'has $name at hue $hue',
    ({ name, hue }) => {
      expect(familyOfHue(hue, PAINTERS_WHEEL)).toMatchObject({ name, lean: 0 });
    },
  );

  it('parts families halfway between their centres', () => {
    const { families, centres } = PAINTERS_WHEEL;
    families.forEach((name, i) => {
      const next = i + 1 < centres.length ? centres[i + 1] : centres[0] + 360;
      const boundary = (centres[i] + next) / 2;
      expect(familyOfHue((boundary - 0.01) % 360, PAINTERS_WHEEL).name).toBe(name);
      expect(familyOfHue((boundary + 0.01) % 360, PAINTERS_WHEEL).name).toBe(
        families[(i + 1) % 12],
      );
    });
  });

  it('leans toward the neighbour on that side', () => {
    expect(familyOfHue(268, PAINTERS_WHEEL)).toMatchObject({
      name: 'blue',
      leaning: 'blue-violet',
    });
    expect(familyOfHue(240, PAINTERS_WHEEL)).toMatchObject({ name: 'blue', leaning: 'blue-green' });
  });

  it('has its opposites six families away on every wheel, and back', () => {
    for (const wheel of WHEELS)
      fc.assert(
        fc.property(anyHue, (hue) => {
          const there = oppositeHue(hue, wheel);
          const turn = Math.abs(wheelPosition(hue, wheel) - wheelPosition(there, wheel));
          expect(turn).toBeCloseTo(6, 6);
          expect(hueAtPosition(wheelPosition(hue, wheel), wheel)).toBeCloseTo(hue, 6);
        }),
      );
    expect(familyOfHue(oppositeHue(25, PAINTERS_WHEEL), PAINTERS_WHEEL).name).toBe('green');
  });

  it.each([
    ['#ff0000', 'red'],
    ['#ff8000', 'orange'],
    ['#ffff00', 'yellow'],
    ['#80ff00', 'chartreuse'],
    ['#00ff00', 'green'],
    ['#00ff80', 'spring green'],
    ['#00ffff', 'cyan'],
    ['#0080ff', 'azure'],
    ['#0000ff', 'blue'],
    ['#8000ff', 'violet'],
    ['#ff00ff', 'magenta'],
    ['#ff0080', 'rose'],
  ])('calls %s %s on the screen’s wheel', (hex, family) => {
    expect(familyOf(of(hex), SCREEN_WHEEL).name).toBe(family);
  });
});

describe('intensity', () => {
  it('is worded at chroma 0.02, 0.04, 0.08, 0.13 and 0.19', () => {
    const words = [0.019, 0.02, 0.039, 0.04, 0.079, 0.08, 0.129, 0.13, 0.189, 0.19].map(
      intensityWord,
    );
    expect(words).toEqual([
      'neutral',
      'greyed',
      'greyed',
      'dull',
      'dull',
      'moderate',
      'moderate',
      'strong',
      'strong',
      'vivid',
    ]);
  });

  it('is a share between 0 and 1 of what sRGB can show, 1 on its edge', () => {
    fc.assert(
      fc.property(anySrgb, (colour) => {
        const share = intensityShare(oklchFromOklab(colour));
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(1);
      }),
    );
    expect(intensityShare(oklchFromOklab(of('#ff0000')))).toBeGreaterThan(0.995);
    expect(intensityShare({ L: 1, C: 0, h: 0 })).toBe(0);
  });
});

describe('everyday names', () => {
  it.each([
    ['a dark earth', { L: 0.32, C: 0.025, h: 70 }, 'umber'],
    ['a nearly black earth', { L: 0.25, C: 0.02, h: 55 }, 'umber'],
    ['an earth that light falls on', { L: 0.42, C: 0.04, h: 65 }, 'umber'],
    ['a red-brown earth', { L: 0.43, C: 0.09, h: 48 }, 'sienna'],
    ['fired clay', { L: 0.58, C: 0.11, h: 40 }, 'terracotta'],
    ['a horse', { L: 0.36, C: 0.07, h: 35 }, 'chestnut'],
    ['a wood floor', { L: 0.5, C: 0.08, h: 60 }, 'brown'],
    ['leaves in the sun', { L: 0.6, C: 0.14, h: 135 }, 'leaf green'],
    ['a fir in shade', { L: 0.33, C: 0.05, h: 155 }, 'fir green'],
    ['willow', { L: 0.68, C: 0.04, h: 130 }, 'sage'],
    ['a wet bank', { L: 0.48, C: 0.08, h: 132 }, 'moss'],
    ['a light face', { L: 0.8, C: 0.045, h: 40 }, 'rose beige'],
    ['a face in half-tone', { L: 0.68, C: 0.075, h: 60 }, 'tan'],
  ])('call %s what painters do', (_, { L, C, h }, name) => {
    expect(everydayName(oklabFromOklch({ L, C, h }))).toBe(name);
  });

  it('are the same in a sentence as in a palette', () => {
    fc.assert(
      fc.property(anySrgb, (colour) => {
        expect(paletteNames([colour])).toEqual([shortName(colour)]);
      }),
    );
  });
});

describe('temperature', () => {
  it('is warm toward orange, cool toward blue, and nothing for grey', () => {
    expect(temperature(oklabFromOklch({ L: 0.6, C: 0.1, h: 55 }))).toBeCloseTo(1, 9);
    expect(temperature(oklabFromOklch({ L: 0.6, C: 0.1, h: 235 }))).toBeCloseTo(-1, 9);
    expect(temperature({ a: 0, b: 0 })).toBe(0);
    expect(temperature({ a: 9, b: 9 })).toBe(3);
  });

  it.each([
    ['burnt sienna', '#8a3a1e', 1],
    ['yellow ochre', '#c9902f', 1],
    ['cadmium red', '#d4261c', 1],
    ['a rose', '#c8506a', 1],
    ['viridian', '#2f7f6f', -1],
    ['ultramarine', '#2a2f8f', -1],
    ['cerulean', '#2a7fb0', -1],
    ['a cool grey', '#7a8288', -1],
  ])('is told for %s (%s)', (_, hex, sign) => {
    expect(Math.sign(temperature(of(hex)))).toBe(sign);
  });
});

describe('gamut mapping', () => {
  const wild = fc.record({
    L: fc.double({ min: 0.02, max: 0.98, noNaN: true }),
    C: fc.double({ min: 0, max: 0.5, noNaN: true }),
    h: anyHue,
  });

  it('holds lightness and hue, only lowers chroma, and lands inside', () => {
    fc.assert(
      fc.property(wild, (wanted) => {
        const mapped = toGamut(oklabFromOklch(wanted));
        const got = oklchFromOklab(mapped);
        expect(inGamut(mapped)).toBe(true);
        expect(got.L).toBeCloseTo(wanted.L, 9);
        expect(got.C).toBeLessThanOrEqual(wanted.C + 1e-9);
        if (got.C > 1e-4)
          expect(Math.abs(((got.h - wanted.h + 540) % 360) - 180)).toBeLessThan(1e-6);
      }),
      { numRuns: 500 },
    );
  });

  it('lands inside among the blues too, where sRGB is hollow', () => {
    // Outside by 7e-5 of red, with stronger colours of its hue inside.
    const blue = { L: 0.44937733636970734, a: -0.028210101966911698, b: -0.2760307042216314 };
    expect(inGamut(blue)).toBe(false);
    expect(inGamut(toGamut(blue))).toBe(true);
    const { L, C, h } = oklchFromOklab(blue);
    expect(oklchFromOklab(toGamut(blue)).C).toBeLessThan(C);
    expect(maxChroma(L, h)).toBeGreaterThan(C);
  });

  it('leaves what is inside alone', () => {
    fc.assert(
      fc.property(anySrgb, (colour) =>
        expect(toGamut(colour)).toEqual(
          colour.L >= 1 ? { L: 1, a: 0, b: 0 } : colour.L <= 0 ? { L: 0, a: 0, b: 0 } : colour,
        ),
      ),
    );
  });

  it('knows that nothing is coloured at black and white', () => {
    expect(maxChroma(0, 30)).toBe(0);
    expect(maxChroma(1, 30)).toBe(0);
    expect(toGamut({ L: 1.2, a: 0.3, b: 0 })).toEqual({ L: 1, a: 0, b: 0 });
    expect(toGamut({ L: -0.1, a: 0.3, b: 0 })).toEqual({ L: 0, a: 0, b: 0 });
  });
});

describe('names', () => {
  it('say intensity, value, family and lean', () => {
    expect(colourName(oklabFromOklch({ L: 0.72, C: 0.07, h: 44 }))).toBe(
      'dull light red-orange leaning orange',
    );
    expect(colourName(oklabFromOklch({ L: 0.45, C: 0.1, h: 258 }))).toBe('moderate dark blue');
  });

  it('give a neutral its family only as a lean, and a plain grey none', () => {
    expect(colourName(oklabFromOklch({ L: 0.6, C: 0.012, h: 55 }))).toBe(
      'middle grey leaning orange',
    );
    expect(colourName(of('#808080'))).toBe('middle grey');
    expect(nameParts(of('#808080')).intensity).toBe('neutral');
  });

  it.each([
    ['#8b4513', 'brown'],
    ['#ffc0cb', 'pink'],
    ['#808000', 'olive'],
    ['#000080', 'navy'],
    ['#800000', 'maroon'],
    ['#008080', 'teal'],
    ['#fffdd0', 'cream'],
    ['#f5f5dc', 'cream'],
    ['#d2b48c', 'tan'],
    ['#40e0d0', 'turquoise'],
    ['#cc7722', 'ochre'],
  ])('call %s %s, as people do', (hex, name) => {
    expect(everydayName(of(hex))).toBe(name);
  });

  it.each(['#ff0000', '#00ff00', '#0000ff', '#ffff00', '#808080', '#ffffff', '#000000', '#00a000'])(
    'have no everyday word for %s',
    (hex) => {
      expect(everydayName(of(hex))).toBeNull();
    },
  );

  // Colours that have had names of their own for long (SVG 1.1's list, and pigments' usual look).
  it.each([
    ['firebrick', '#b22222', 'strong dark red', null],
    ['tomato', '#ff6347', 'vivid middle red-orange leaning red', null],
    ['sienna', '#a0522d', 'moderate dark red-orange leaning orange', 'rust'],
    ['chocolate', '#d2691e', 'strong middle orange leaning red-orange', null],
    ['dark orange', '#ff8c00', 'strong light orange', null],
    ['umber', '#6b4a2f', 'dull dark orange leaning yellow-orange', 'brown'],
    ['a lit skin', '#f1c27d', 'moderate light yellow-orange', null],
    ['wheat', '#f5deb3', 'dull very light yellow-orange leaning yellow', 'cream'],
    ['peach puff', '#ffdab9', 'dull very light orange leaning yellow-orange', 'peach'],
    ['gold', '#ffd700', 'strong very light yellow', null],
    ['sand', '#c2b280', 'dull light yellow leaning yellow-orange', 'sand'],
    ['dark olive green', '#556b2f', 'moderate dark yellow-green', 'olive'],
    ['olive drab', '#6b8e23', 'strong middle yellow-green', 'leaf green'],
    ['forest green', '#228b22', 'strong middle green leaning yellow-green', 'leaf green'],
    ['sea green', '#2e8b57', 'moderate middle green', null],
    ['mint', '#aaf0d1', 'moderate very light green leaning blue-green', 'mint'],
    ['cadet blue', '#5f9ea0', 'dull middle blue-green', null],
    ['dark slate', '#2f4f4f', 'greyed dark blue-green', null],
    ['sky blue', '#87ceeb', 'moderate light blue-green leaning blue', 'sky blue'],
    ['steel blue', '#4682b4', 'moderate middle blue leaning blue-green', null],
    ['slate grey', '#708090', 'greyed middle blue', 'slate'],
    ['midnight blue', '#191970', 'strong very dark blue leaning blue-violet', 'navy'],
    ['slate blue', '#6a5acd', 'strong dark blue-violet', null],
    ['lavender', '#e6e6fa', 'greyed very light blue-violet', 'lavender'],
    ['lilac', '#c8a2c8', 'dull light violet leaning red-violet', 'lilac'],
    ['purple', '#800080', 'vivid dark violet leaning red-violet', null],
    ['medium violet red', '#c71585', 'vivid dark red-violet', null],
    ['light pink', '#ffb6c1', 'moderate light red leaning red-violet', 'pink'],
    ['burgundy', '#5c0a1e', 'moderate very dark red leaning red-violet', 'maroon'],
    ['linen', '#faf0e6', 'very light grey leaning yellow-orange', null],
    ['ivory', '#fffff0', 'very light grey leaning yellow', null],
  ])('are given to %s (%s): %s', (_, hex, name, everyday) => {
    expect(colourName(of(hex))).toBe(name);
    expect(everydayName(of(hex))).toBe(everyday);
  });

  it('have every value word, parting at Munsell 2.5, 4.5, 6.5 and 8.5', () => {
    const words = ['#2e2e2e', '#4a4a4a', '#7a7a7a', '#b0b0b0', '#e0e0e0'].map(
      (hex) => nameParts(of(hex)).value,
    );
    expect(words).toEqual(['very dark', 'dark', 'middle', 'light', 'very light']);
  });

  it('are unique within a palette, and keep away from names that are taken', () => {
    fc.assert(
      fc.property(
        fc.array(anySrgb, { maxLength: 20 }),
        fc.array(anySrgb, { maxLength: 5 }),
        (colours, more) => {
          const taken = paletteNames(more);
          const names = paletteNames(colours, taken);
          expect(new Set([...names, ...taken]).size).toBe(names.length + taken.length);
          expect(names.every((name) => name.trim().length > 0)).toBe(true);
        },
      ),
    );
    expect(paletteNames([of('#123456'), of('#123456'), of('#123457')]).join('; ')).toMatch(
      / 2$|leaning/,
    );
  });
});
