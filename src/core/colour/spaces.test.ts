import { converter } from 'culori';
import fc from 'fast-check';
import { anyBytes, anySrgb } from '../testing';
import { labFromOklab, lightnessFromLuminance, luminanceFromLightness } from './cielab';
import { bytesFromOklab, hexFromOklab, oklabFromBytes, oklabFromHex } from './hex';
import { oklabFromOklch, oklchFromOklab } from './oklab';
import { byteOfLinear, LINEAR_OF_BYTE, toEncoded, toLinear } from './srgb';

const oklab = converter('oklab');
const lab65 = converter('lab65');

describe('colour spaces', () => {
  it('agree with another implementation to three places of what an eye can tell', () => {
    fc.assert(
      fc.property(anyBytes, ([r, g, b]) => {
        const ours = oklabFromBytes([r, g, b]);
        const rgb = { mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 } as const;
        const theirs = oklab(rgb);
        expect(Math.abs(ours.L - theirs.l)).toBeLessThan(1e-5);
        expect(Math.abs(ours.a - theirs.a)).toBeLessThan(1e-5);
        expect(Math.abs(ours.b - theirs.b)).toBeLessThan(1e-5);
        const ourLab = labFromOklab(ours);
        const theirLab = lab65(rgb);
        expect(Math.abs(ourLab.L - theirLab.l)).toBeLessThan(0.02);
        expect(Math.abs(ourLab.a - theirLab.a)).toBeLessThan(0.05);
        expect(Math.abs(ourLab.b - theirLab.b)).toBeLessThan(0.05);
      }),
    );
  });

  it('bring every 8-bit colour back to the same bytes', () => {
    fc.assert(
      fc.property(anyBytes, (bytes) => {
        expect(bytesFromOklab(oklabFromBytes(bytes))).toEqual(bytes);
      }),
      { numRuns: 1000 },
    );
  });

  it('keep a colour through polar form and back', () => {
    fc.assert(
      fc.property(anySrgb, (colour) => {
        const back = oklabFromOklch(oklchFromOklab(colour));
        expect(back.a).toBeCloseTo(colour.a, 9);
        expect(back.b).toBeCloseTo(colour.b, 9);
      }),
    );
  });

  it('put white and grey on the neutral axis', () => {
    const white = oklabFromBytes([255, 255, 255]);
    expect(white.L).toBeCloseTo(1, 6);
    const grey = labFromOklab(oklabFromBytes([119, 119, 119]));
    expect(Math.abs(grey.a)).toBeLessThan(1e-3);
    expect(Math.abs(grey.b)).toBeLessThan(1e-3);
    expect(oklchFromOklab({ L: 0.5, a: 0, b: 0 })).toEqual({ L: 0.5, C: 0, h: 0 });
  });

  it('invert the sRGB transfer, exactly and by table', () => {
    for (let byte = 0; byte < 256; byte++) {
      expect(toEncoded(toLinear(byte / 255))).toBeCloseTo(byte / 255, 12);
      expect(byteOfLinear(LINEAR_OF_BYTE[byte])).toBe(byte);
    }
    expect(byteOfLinear(-1)).toBe(0);
    expect(byteOfLinear(2)).toBe(255);
  });

  it('invert L*', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (L) => {
        expect(lightnessFromLuminance(luminanceFromLightness(L))).toBeCloseTo(L, 8);
      }),
    );
  });
});

describe('hex', () => {
  it('reads three and six digits, with and without the hash', () => {
    expect(hexFromOklab(oklabFromHex('#fa0') ?? { L: 0, a: 0, b: 0 })).toBe('#ffaa00');
    expect(hexFromOklab(oklabFromHex(' 12AbEf ') ?? { L: 0, a: 0, b: 0 })).toBe('#12abef');
  });

  it.each(['', '#12', '#12345', '#gggggg', 'red', '#1234567'])(
    'does not take %j for a colour',
    (text) => {
      expect(oklabFromHex(text)).toBeNull();
    },
  );
});
