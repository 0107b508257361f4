import fc from 'fast-check';
import { belowSurface, filmReflectance, thickReflectance, throughSurface } from './kubelka-munk';

const amount = fc.double({ min: 0, max: 50, noNaN: true });
const share = fc.double({ min: 0, max: 1, noNaN: true });

it('reflectance stays within 0 and 1, through the surface too', () => {
  fc.assert(
    fc.property(amount, amount, amount, share, (K, S, thickness, ground) => {
      for (const R of [thickReflectance(K, S), filmReflectance(K, S, thickness, ground)]) {
        expect(R).toBeGreaterThanOrEqual(-1e-9);
        expect(R).toBeLessThanOrEqual(1 + 1e-9);
        expect(throughSurface(R)).toBeGreaterThan(0);
        expect(throughSurface(R)).toBeLessThan(1);
      }
    }),
  );
});

it('a film of great thickness is the mass tone, one of none the ground', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 20, noNaN: true }),
      fc.double({ min: 0.01, max: 2, noNaN: true }),
      share,
      (K, S, ground) => {
        expect(filmReflectance(K, S, 5000, ground)).toBeCloseTo(thickReflectance(K, S), 6);
        expect(filmReflectance(K, S, 0, ground)).toBe(ground);
      },
    ),
  );
});

it('a film that only scatters, and one that only absorbs, are as their own laws say', () => {
  // Without absorption R = (Rg + (1 − Rg)·S·X) / (1 + (1 − Rg)·S·X); Kubelka 1948.
  for (const [SX, ground] of [
    [0.5, 0],
    [2, 0.3],
    [10, 0.9],
  ])
    expect(filmReflectance(0, 1, SX, ground)).toBeCloseTo(
      (ground + (1 - ground) * SX) / (1 + (1 - ground) * SX),
      9,
    );
  // Without scattering light goes through twice; Bouguer and Lambert.
  expect(filmReflectance(0.4, 0, 1.5, 0.8)).toBeCloseTo(0.8 * Math.exp(-2 * 0.4 * 1.5), 12);
});

it('layers on one another are one layer of both thicknesses', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.001, max: 5, noNaN: true }),
      fc.double({ min: 0.01, max: 2, noNaN: true }),
      fc.double({ min: 0.01, max: 3, noNaN: true }),
      fc.double({ min: 0.01, max: 3, noNaN: true }),
      share,
      (K, S, one, other, ground) => {
        const twice = filmReflectance(K, S, one, filmReflectance(K, S, other, ground));
        expect(filmReflectance(K, S, one + other, ground)).toBeCloseTo(twice, 7);
      },
    ),
  );
});

it('the surface can be taken away again', () => {
  for (const inside of [0, 0.01, 0.2, 0.7, 1])
    expect(belowSurface(throughSurface(inside))).toBeCloseTo(inside, 12);
});
