import fc from 'fast-check';
import { cubeRoot } from './cube-root';
import { oklabFromLinear, writeOklab } from './oklab';
import { LINEAR_OF_BYTE } from './srgb';

describe('cube roots by table', () => {
  it('are those of Math.cbrt within 1e-6, outside its range too', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.1, max: 1.5, noNaN: true }), (light) => {
        expect(Math.abs(cubeRoot(light) - Math.cbrt(light))).toBeLessThan(1e-6);
      }),
    );
    for (const light of [0, 1 / 4096, 1, 1 + 1e-12])
      expect(cubeRoot(light)).toBeCloseTo(Math.cbrt(light), 12);
  });

  it('rise with the light, from step to step', () => {
    const roots = Array.from({ length: 100_001 }, (_, i) => cubeRoot(i / 100_000));
    expect(roots.findIndex((root, i) => i > 0 && !(root > roots[i - 1]))).toBe(-1);
  });

  it('give all 8-bit colours in OKLab within 2e-6 of the exact conversion', () => {
    const out = new Float64Array(3);
    let most = 0;
    for (let r = 0; r < 256; r += 5)
      for (let g = 0; g < 256; g += 5)
        for (let b = 0; b < 256; b += 5) {
          const [lr, lg, lb] = [LINEAR_OF_BYTE[r], LINEAR_OF_BYTE[g], LINEAR_OF_BYTE[b]];
          writeOklab(lr, lg, lb, out, 0);
          const { L, a, b: yellow } = oklabFromLinear({ r: lr, g: lg, b: lb });
          most = Math.max(
            most,
            Math.abs(out[0] - L),
            Math.abs(out[1] - a),
            Math.abs(out[2] - yellow),
          );
        }
    expect(most).toBeLessThan(2e-6);
  });
});
