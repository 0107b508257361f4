import fc from 'fast-check';
import { oklabFromHex } from '../colour/hex';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import { pictureOf } from '../picture/picture';
import { anySrgb } from '../testing';
import { coveredParts, underpainting, type CoveredPart } from './underpainting';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const field = (own: string, strong: string, count: number): CoveredPart[] =>
  Array.from({ length: count }, () => ({ own: of(own), strong: of(strong) }));

it('first colours are of middle value and lean against what covers them', () => {
  const parts = fc.array(fc.record({ own: anySrgb, strong: anySrgb }), {
    minLength: 1,
    maxLength: 60,
  });
  fc.assert(
    fc.property(parts, fc.integer({ min: 1, max: 6 }), (some, count) => {
      const found = underpainting(some, count);
      expect(found.length).toBeLessThanOrEqual(count);
      expect(found.reduce((sum, { share }) => sum + share, 0)).toBeLessThanOrEqual(1 + 1e-9);
      for (const { colour, lean, cover, shows } of found) {
        expect(valueOfOklab(colour)).toBeGreaterThan(3.9);
        expect(valueOfOklab(colour)).toBeLessThan(6.1);
        expect(lean).toBe(temperature(cover) > 0 ? 'cool' : 'warm');
        // What shows lies between the two in value, nearer to the cover.
        const [under, over, between] = [colour, cover, shows].map((one) => valueOfOklab(one));
        expect(between).toBeGreaterThanOrEqual(Math.min(under, over) - 0.02);
        expect(between).toBeLessThanOrEqual(Math.max(under, over) + 0.02);
      }
    }),
  );
});

it('under a cool sky in which warmth hides goes that warmth; under one of hidden blue its opposite', () => {
  const [warm] = underpainting(field('#9aa4b4', '#c8a080', 50), 1);
  expect(warm.lean).toBe('warm');
  expect(warm.hides).toBe(true);
  expect(Math.abs(oklchFromOklab(warm.colour).h - oklchFromOklab(of('#c8a080')).h)).toBeLessThan(8);
  const [against] = underpainting(field('#9aa4b4', '#6080d0', 50), 1);
  expect(against.lean).toBe('warm');
  expect(against.hides).toBe(false);
  expect(temperature(against.colour)).toBeGreaterThan(0);
});

it('tells a sky from a field, and knows nothing of what is transparent', () => {
  const found = underpainting(
    [...field('#a8b4c4', '#7090d8', 70), ...field('#8a7a52', '#b08020', 30)],
    2,
  );
  expect(found.map(({ share }) => share)).toEqual([0.7, 0.3]);
  expect(found.map(({ lean }) => lean)).toEqual(['warm', 'cool']);
  const clear = pictureOf(4, 4, new Uint8ClampedArray(64));
  expect(underpainting(coveredParts(clear, clear), 3)).toEqual([]);
  const grey = pictureOf(
    100,
    2,
    new Uint8ClampedArray(800).fill(128).map((b, i) => (i % 4 === 3 ? 255 : b)),
  );
  const parts = coveredParts(grey, grey);
  expect(parts.length).toBe(50);
  expect(underpainting(parts, 3)).toHaveLength(1);
});
