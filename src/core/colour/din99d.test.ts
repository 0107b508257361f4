import fc from 'fast-check';
import { anyBytes } from '../testing';
import { ciede2000 } from './ciede2000';
import { labFromOklab, linearFromLab, oklabFromLab } from './cielab';
import { writeDin99d } from './din99d';
import { oklabFromBytes, type Bytes } from './hex';
import { LINEAR_OF_BYTE } from './srgb';

const din = ([r, g, b]: Bytes) => {
  const out = new Float64Array(3);
  writeDin99d(LINEAR_OF_BYTE[r], LINEAR_OF_BYTE[g], LINEAR_OF_BYTE[b], out, 0);
  return out;
};
const apart = (one: Bytes, other: Bytes) =>
  Math.hypot(...din(one).map((n, i) => n - din(other)[i]));

describe('DIN99d', () => {
  it('runs from 0 to 100 along the greys, which have no chroma worth a thought', () => {
    expect(din([0, 0, 0])[0]).toBeCloseTo(0, 9);
    expect(din([255, 255, 255])[0]).toBeCloseTo(100, 1);
    for (let byte = 0; byte < 256; byte += 15)
      expect(Math.hypot(...din([byte, byte, byte]).slice(1))).toBeLessThan(1e-4);
  });

  it('follows small differences as CIEDE2000 sees them, 0.85 of its own on average', () => {
    const ratios: number[] = [];
    for (let r = 20; r < 240; r += 40)
      for (let g = 20; g < 240; g += 40)
        for (let b = 20; b < 240; b += 40) {
          const one: Bytes = [r, g, b];
          const other: Bytes = [r + 4, g - 3, b + 5];
          const differs = ciede2000(
            labFromOklab(oklabFromBytes(one)),
            labFromOklab(oklabFromBytes(other)),
          );
          ratios.push(differs / apart(one, other));
        }
    const mean = ratios.reduce((sum, one) => sum + one, 0) / ratios.length;
    expect(Math.abs(mean - 0.85)).toBeLessThan(0.06);
    expect(Math.min(...ratios)).toBeGreaterThan(0.5);
    expect(Math.max(...ratios)).toBeLessThan(1.25);
  });

  it('is a distance: none to itself, and no shorter way round a third colour', () => {
    fc.assert(
      fc.property(anyBytes, anyBytes, anyBytes, (one, other, third) => {
        expect(apart(one, one)).toBe(0);
        expect(apart(one, other)).toBeLessThanOrEqual(
          apart(one, third) + apart(third, other) + 1e-9,
        );
      }),
    );
  });
});

describe('CIELAB back again', () => {
  it('gives the colour that it was made of', () => {
    fc.assert(
      fc.property(anyBytes, (bytes) => {
        const colour = oklabFromBytes(bytes);
        const back = oklabFromLab(labFromOklab(colour));
        expect(back.L).toBeCloseTo(colour.L, 6);
        expect(back.a).toBeCloseTo(colour.a, 6);
        expect(back.b).toBeCloseTo(colour.b, 6);
      }),
    );
    const { r, g, b } = linearFromLab({ L: 100, a: 0, b: 0 });
    for (const channel of [r, g, b]) expect(channel).toBeCloseTo(1, 6);
  });
});
