import fc from 'fast-check';
import { linearFromOklab } from '../colour/oklab';
import { luminance } from '../colour/srgb';
import { anySrgb } from '../testing';
import { chromaRoom, lightnessFor } from './chroma-room';

describe('the room that sRGB leaves a colour at its luminance', () => {
  it('is never more than there is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.97, noNaN: true }),
        fc.double({ min: 0, max: 6.283, noNaN: true }),
        (grey, hue) => {
          const C = chromaRoom(grey, hue);
          const a = C * Math.cos(hue);
          const b = C * Math.sin(hue);
          const {
            r,
            g,
            b: blue,
          } = linearFromOklab({
            L: lightnessFor(grey ** 3, a, b, grey),
            a,
            b,
          });
          for (const channel of [r, g, blue]) {
            expect(channel).toBeGreaterThan(-0.02);
            expect(channel).toBeLessThan(1.02);
          }
        },
      ),
      { numRuns: 300 },
    );
  });

  it('goes round the circle without a seam', () => {
    for (const grey of [0.2, 0.5, 0.8])
      expect(chromaRoom(grey, 1e-9)).toBeCloseTo(chromaRoom(grey, 2 * Math.PI - 1e-9), 6);
  });

  it('is none at black and white', () => {
    expect(chromaRoom(0, 1)).toBe(0);
    expect(chromaRoom(1, 1)).toBe(0);
  });
});

describe('lightness for a luminance', () => {
  it('gives back the luminance it was sought for', () => {
    fc.assert(
      fc.property(anySrgb, fc.double({ min: -0.03, max: 0.03, noNaN: true }), (colour, off) => {
        const { r, g, b } = linearFromOklab(colour);
        const Y = luminance(r, g, b);
        fc.pre(Y > 0.02 && Y < 0.98);
        const L = lightnessFor(Y, colour.a, colour.b, colour.L + off);
        const found = linearFromOklab({ ...colour, L });
        expect(luminance(found.r, found.g, found.b)).toBeCloseTo(Y, 4);
      }),
    );
  });
});
