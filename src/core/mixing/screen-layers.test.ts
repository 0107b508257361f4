import fc from 'fast-check';
import { hexFromOklab, oklabFromHex } from '../colour/hex';
import { oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { anySrgb } from '../testing';
import { BLEND_MODES, comesToColour, composite, FORM_PARTS, formLayers } from './screen-layers';

const anyHex = anySrgb.map(hexFromOklab);
const round = (channels: readonly number[]) => channels.map(Math.round);

describe('layers on a screen', () => {
  it('meet as they are said to', () => {
    const over = (mode: (typeof BLEND_MODES)[number], opacity = 1) =>
      round(composite('#804020', [{ hex: '#c08040', opacity, mode }]));
    expect(over('normal')).toEqual([192, 128, 64]);
    expect(over('normal', 0.5)).toEqual([160, 96, 48]);
    expect(over('multiply')).toEqual([96, 32, 8]);
    expect(over('screen')).toEqual([224, 160, 88]);
    expect(over('overlay')).toEqual([192, 64, 16]);
    expect(over('soft-light', 0)).toEqual([128, 64, 32]);
  });

  it('hold to what each mode can and can’t do', () => {
    fc.assert(
      fc.property(
        anyHex,
        anyHex,
        fc.double({ min: 0, max: 1, noNaN: true }),
        (base, hex, opacity) => {
          const below = composite(base, []);
          const by = (mode: (typeof BLEND_MODES)[number]) =>
            composite(base, [{ hex, opacity, mode }]);
          by('multiply').forEach((channel, i) =>
            expect(channel).toBeLessThanOrEqual(below[i] + 1e-9),
          );
          by('screen').forEach((channel, i) =>
            expect(channel).toBeGreaterThanOrEqual(below[i] - 1e-9),
          );
          for (const mode of BLEND_MODES)
            for (const channel of by(mode)) {
              expect(channel).toBeGreaterThanOrEqual(-1e-9);
              expect(channel).toBeLessThanOrEqual(255 + 1e-9);
            }
          const grey = composite(base, [{ hex: '#808080', opacity: 1, mode: 'soft-light' }]);
          grey.forEach((channel, i) => expect(Math.abs(channel - below[i])).toBeLessThan(1));
        },
      ),
    );
  });

  it('are refused where they are no colour', () => {
    expect(() => composite('#12', [])).toThrow(RangeError);
    expect(() => composite('#123456', [{ hex: 'red', opacity: 1, mode: 'normal' }])).toThrow(
      RangeError,
    );
  });
});

describe('a form in layers', () => {
  it('has a shadow two steps down, a light up, an edge that is stronger, and a mute at its value', () => {
    for (const hex of ['#a8744a', '#6f7f86', '#55803f', '#8a4a6a', '#7f8fb8']) {
      const colour = oklabFromHex(hex)!;
      const layers = formLayers(colour);
      expect(layers.map(({ part }) => part)).toEqual([...FORM_PARTS]);
      const [base, shadow, edge, light, glaze, mute] = layers.map(comesToColour);
      const value = valueOfOklab(colour);
      expect(hexFromOklab(base)).toBe(hex);
      expect(Math.abs(valueOfOklab(shadow) - (value - 2))).toBeLessThan(0.15);
      expect(Math.abs(valueOfOklab(light) - (value + 1.2))).toBeLessThan(0.15);
      expect(valueOfOklab(glaze)).toBeLessThan(value);
      expect(oklchFromOklab(edge).C).toBeGreaterThan(oklchFromOklab(colour).C);
      expect(oklchFromOklab(mute).C).toBeLessThan(0.7 * oklchFromOklab(colour).C);
      expect(Math.abs(valueOfOklab(mute) - value)).toBeLessThan(0.15);
    }
  });
});
