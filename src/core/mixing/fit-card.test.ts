import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { fitCard, type TubeCard } from './fit-card';
import { mixColour } from './mix-lab';
import { opticsOf, type Optics } from './pigment';
import { PIGMENTS, TITANIUM_WHITE } from './pigments/pigments';

const white = opticsOf(TITANIUM_WHITE);
const tint = (paint: Optics, parts: number) => mixColour([paint, white], [1, parts]);
const cardOf = (paint: Optics): TubeCard => ({
  massTone: mixColour([paint], [1]),
  tint: tint(paint, 4),
  whiteParts: 4,
});
const colours = PIGMENTS.filter(({ id }) => !id.startsWith('PW') && !id.startsWith('PBk'));

it('a tube that differs from its pigment is foretold at least twice as well once its card is fitted', () => {
  const factor = fc.double({ min: 0.55, max: 1.8, noNaN: true });
  fc.assert(
    fc.property(fc.constantFrom(...colours), factor, (pigment, strength) => {
      fc.pre(Math.abs(Math.log(strength)) > 0.25);
      const plain = opticsOf(pigment);
      const truth = { K: plain.K.map((k) => k * strength), S: plain.S };
      const { optics } = fitCard(plain, cardOf(truth));
      const miss = (paint: Optics) =>
        [1, 12].reduce(
          (sum, parts) =>
            sum + ciede2000(labFromOklab(tint(paint, parts)), labFromOklab(tint(truth, parts))),
          0,
        );
      expect(miss(optics)).toBeLessThan(miss(plain) / 2);
    }),
    { numRuns: 60 },
  );
});

it('a card that is as the pigment says changes nothing, and says how sure that is', () => {
  for (const pigment of colours.slice(0, 8)) {
    const plain = opticsOf(pigment);
    const { factors, spread } = fitCard(plain, cardOf(plain));
    for (const factor of factors) expect(factor).toBeCloseTo(1, 3);
    for (const one of spread) {
      expect(one).toBeGreaterThan(0);
      expect(one).toBeLessThanOrEqual(0.4 + 1e-9);
    }
  }
});

it('absorption and scattering stay above 0, however odd the card', () => {
  const odd = { massTone: { L: 1, a: 0.2, b: -0.3 }, tint: { L: 0, a: 0, b: 0 }, whiteParts: 4 };
  const { optics } = fitCard(opticsOf(colours[3]), odd);
  for (const at of [...optics.K, ...optics.S]) expect(at).toBeGreaterThanOrEqual(0);
  expect([...optics.K, ...optics.S].every(Number.isFinite)).toBe(true);
});
