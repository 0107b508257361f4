import fc from 'fast-check';
import { oklabFromHex } from '../colour/hex';
import { oklabDistance, type Oklab } from '../colour/oklab';
import { CAUTION_LINES, cautionsOf, STUDIO_CAUTIONS } from './cautions';
import { missBetween } from './miss';
import { mixColour } from './mix-lab';
import { opticsOf } from './pigment';
import { PIGMENTS, pigmentOf } from './pigments/pigments';
import { stepsOf } from './recipe-steps';
import { tubesOf, TWELVE } from './testing/mixtures';
import { TUBE_SETS } from './tube-sets';
import { kindOf } from './tube';

const tubes = tubesOf(TWELVE);
const tube = (id: string) => tubes.find((one) => one.id === id)!;
const colour = (hex: string) => oklabFromHex(hex) as Oklab;

it('a recipe is mixed from its body down to the specks, to the colour that it is', () => {
  const some = fc.uniqueArray(fc.nat(tubes.length - 1), { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(some, fc.infiniteStream(fc.integer({ min: 1, max: 12 })), (which, amounts) => {
      const parts = which.map((i) => ({ tube: tubes[i], parts: Number(amounts.next().value) }));
      const steps = stepsOf(parts);
      expect(new Set(steps.map((step) => step.tube))).toEqual(
        new Set(parts.map((part) => part.tube)),
      );
      expect(steps[0].parts).toBe(Math.max(...parts.map((part) => part.parts)));
      expect(steps[0].before).toBeNull();
      const given = steps.map((step) => step.parts);
      expect(given).toEqual([...given].sort((one, other) => other - one));
      const whole = mixColour(
        parts.map((part) => part.tube.optics),
        parts.map((part) => part.parts),
      );
      expect(oklabDistance(steps[steps.length - 1].after, whole)).toBeLessThan(1e-9);
    }),
    { numRuns: 40 },
  );
});

it('what may go wrong is said: a stainer, white that chalks, white over what glows', () => {
  const risks = (...parts: [string, number][]) =>
    stepsOf(parts.map(([id, amount]) => ({ tube: tube(id), parts: amount }))).map(
      ({ tube: { id }, risk }) => [id, risk],
    );
  expect(risks(['PW6', 8], ['PB15.3', 0.1])).toEqual([
    ['PW6', null],
    ['PB15.3', 'strong stainer'],
  ]);
  expect(risks(['PR108', 2], ['PW6', 1.9])).toContainEqual(['PR108', null]);
  expect(risks(['PY42', 12], ['PW6', 11.5])[1][1]).toBeNull();
});

it('a miss has its sign', () => {
  const miss = missBetween(colour('#6a6a6a'), colour('#96785a'));
  expect(miss.value).toBeGreaterThan(0);
  expect(miss.warmth).toBeGreaterThan(0);
  expect(miss.chroma).toBeGreaterThan(0);
  const none = missBetween(colour('#6a6a6a'), colour('#6a6a6a'));
  expect(none).toEqual({ value: 0, warmth: 0, chroma: 0 });
});

it('each metal has its line, and the work has its own', () => {
  for (const pigment of PIGMENTS)
    for (const caution of cautionsOf([pigment])) expect(CAUTION_LINES[caution]).toBeTruthy();
  for (const metal of ['cadmium', 'cobalt', 'nickel', 'chromium', 'manganese', 'lead'] as const) {
    expect(PIGMENTS.some(({ metals }) => metals?.includes(metal))).toBe(true);
    expect(CAUTION_LINES[metal].toLowerCase()).toContain(metal);
  }
  const red = pigmentOf('PR108')!;
  expect(cautionsOf([red, pigmentOf('PY35')!, pigmentOf('PB29')!])).toEqual(['cadmium']);
  expect(STUDIO_CAUTIONS.map((one) => CAUTION_LINES[one]).join()).toMatch(/rags.*sink/s);
});

it('the sets to begin with are of pigments that are known, each with a white', () => {
  for (const { pigments } of TUBE_SETS) {
    for (const id of pigments) expect(pigmentOf(id)?.id).toBe(id);
    expect(tubesOf(pigments).some((one) => kindOf(one) === 'white')).toBe(true);
    expect(new Set(pigments).size).toBe(pigments.length);
  }
  expect(opticsOf(pigmentOf('PW6')!).S[17]).toBeCloseTo(1, 1);
});
