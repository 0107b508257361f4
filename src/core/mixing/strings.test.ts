import fc from 'fast-check';
import { oklabDistance, oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { paintColour } from './paint';
import { greensOf, MAX_STRING, MIN_STRING, stringBetween } from './strings';
import { tubesOf, TWELVE } from './testing/mixtures';

const tubes = tubesOf(TWELVE);
const optics = (id: string) => tubes.find((tube) => tube.id === id)!.optics;
const one = fc.nat(tubes.length - 1);
const steps = fc.integer({ min: MIN_STRING, max: MAX_STRING });
const spacing = fc.constantFrom('value' as const, 'ratio' as const);

it('a string begins and ends with its paints, and its shares are a whole', () => {
  fc.assert(
    fc.property(one, one, one, steps, spacing, fc.boolean(), (a, b, c, count, by, isVia) => {
      const [from, to, via] = [a, b, c].map((i) => tubes[i].optics);
      const string = stringBetween(from, to, count, by, isVia ? via : null);
      expect(string).toHaveLength(count);
      expect(oklabDistance(string[0].colour, paintColour(from))).toBeLessThan(1e-9);
      expect(oklabDistance(string[count - 1].colour, paintColour(to))).toBeLessThan(1e-9);
      for (const step of string) {
        expect(step.from + step.via + step.to).toBeCloseTo(1, 9);
        expect(Math.min(step.from, step.via, step.to)).toBeGreaterThanOrEqual(-1e-12);
      }
    }),
    { numRuns: 60 },
  );
});

it('even in value: each step of white into umber is as much lighter as the one before', () => {
  const values = stringBetween(optics('PBr7-raw-umber'), optics('PW6'), 7, 'value').map(
    ({ colour }) => valueOfOklab(colour),
  );
  const step = (values[6] - values[0]) / 6;
  for (let i = 1; i < values.length; i++) expect(values[i] - values[i - 1]).toBeCloseTo(step, 1);
});

it('even in parts: shares rise by the same', () => {
  const string = stringBetween(optics('PB29'), optics('PW6'), 5, 'ratio');
  expect(string.map(({ to }) => to)).toEqual([0, 0.25, 0.5, 0.75, 1]);
});

it('by way of a neutral the middle is duller than straight', () => {
  const [red, green, umber] = ['PR108', 'PG7', 'PBr7-raw-umber'].map(optics);
  const middle = (via: typeof umber | null) =>
    stringBetween(optics('PY35'), red, 5, 'ratio', via)[2].colour;
  expect(oklchFromOklab(middle(umber)).C).toBeLessThan(oklchFromOklab(middle(null)).C);
  expect(stringBetween(red, green, 5, 'ratio', umber)[2]).toMatchObject({ from: 0, via: 1, to: 0 });
});

it('a string of two, or of too many, is none', () => {
  for (const count of [2, MAX_STRING + 1, 4.5])
    expect(() => stringBetween(optics('PB29'), optics('PW6'), count, 'ratio')).toThrow(RangeError);
});

it('greens: every blue with every yellow, garish from phthalocyanines and quiet from ultramarine with ochre', () => {
  const greens = greensOf(
    tubesOf(['PW6', 'PB29', 'PB15.3', 'PG7', 'PY35', 'PY3', 'PY42', 'PR108', 'PBr7-raw-umber']),
  );
  expect(greens).toHaveLength(9);
  const character = (blue: string, yellow: string) =>
    greens.find((green) => green.blue.id === blue && green.yellow.id === yellow)?.character;
  expect(character('PB15.3', 'PY3')).toBe('garish');
  expect(character('PG7', 'PY35')).toBe('garish');
  expect(character('PB29', 'PY42')).toBe('quiet');
  expect(character('PB29', 'PY35')).toBe('natural');
  for (const { colour, tint } of greens)
    expect(valueOfOklab(tint)).toBeGreaterThan(valueOfOklab(colour));
});
