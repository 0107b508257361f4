import fc from 'fast-check';
import { halftoned, SCREEN_ANGLES } from './halftone';

const share = (dots: Uint8Array) => dots.reduce((sum, dot) => sum + dot, 0) / 255 / dots.length;

it('as much is solid as the tone says, at every ruling and angle', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 255 }),
      fc.integer({ min: 20, max: 65 }),
      fc.constantFrom(...SCREEN_ANGLES),
      (tone, ruling, angle) => {
        const plate = new Uint8Array(16).fill(tone);
        const out = { width: 300, height: 300, dpi: 600 };
        const dots = halftoned(plate, { width: 4, height: 4 }, out, { ruling, angle });
        expect(dots.every((dot) => dot === 0 || dot === 255)).toBe(true);
        expect(Math.abs(share(dots) - tone / 255)).toBeLessThan(0.03);
      },
    ),
    { numRuns: 150 },
  );
});

it('paper stays paper and solid solid; a ramp rises', () => {
  const size = { width: 2, height: 1 };
  const out = { width: 300, height: 100, dpi: 300 };
  const screen = { ruling: 45, angle: 15 };
  expect(share(halftoned(Uint8Array.of(0, 0), size, out, screen))).toBe(0);
  expect(share(halftoned(Uint8Array.of(255, 255), size, out, screen))).toBe(1);
  const ramp = halftoned(Uint8Array.of(0, 255), size, out, screen);
  const third = (from: number) =>
    share(ramp.filter((_, i) => i % 300 >= from && i % 300 < from + 100));
  expect(third(0)).toBeLessThan(third(100));
  expect(third(100)).toBeLessThan(third(200));
});

it('a ruling too fine for the device is refused', () => {
  const out = { width: 4, height: 4, dpi: 100 };
  expect(() =>
    halftoned(new Uint8Array(1), { width: 1, height: 1 }, out, { ruling: 20, angle: 0 }),
  ).toThrow(RangeError);
});
