import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromBytes } from '../colour/hex';
import { oklabOf } from './observer';
import { smoothReflectance } from './smooth-reflectance';

it('every colour of a screen has a reflectance within 0 and 1 that looks like it', () => {
  const byte = fc.integer({ min: 0, max: 255 });
  fc.assert(
    fc.property(byte, byte, byte, (r, g, b) => {
      const colour = oklabFromBytes([r, g, b]);
      const reflectance = smoothReflectance(colour);
      for (const R of reflectance) {
        expect(R).toBeGreaterThanOrEqual(0);
        expect(R).toBeLessThanOrEqual(1);
      }
      const off = ciede2000(labFromOklab(oklabOf(reflectance)), labFromOklab(colour));
      expect(off).toBeLessThan(0.3);
    }),
    {
      numRuns: 300,
      examples: [
        [31, 0, 1],
        [2, 0, 2],
        [0, 255, 255],
      ],
    },
  );
});

it('a grey is level', () => {
  const reflectance = smoothReflectance(oklabFromBytes([120, 120, 120]));
  expect(Math.max(...reflectance) - Math.min(...reflectance)).toBeLessThan(0.002);
});
