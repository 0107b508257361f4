import fc from 'fast-check';
import { oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { broughtTo, adjustersOf, shareForValue } from './at-value';
import { missBetween } from './miss';
import { mixColour } from './mix-lab';
import { paintColour } from './paint';
import { MUTES, pileMutes, pileVariations, PILE_PARTS } from './pile-variations';
import type { RecipePart } from './recipes';
import { tubesOf, TWELVE } from './testing/mixtures';
import { MEASURES } from './whole-parts';

const tubes = tubesOf([...TWELVE, 'PBk9']);
const tube = (id: string) => tubes.find((one) => one.id === id)!;
const pile = (...parts: [string, number][]): RecipePart[] =>
  parts.map(([id, amount]) => ({ tube: tube(id), parts: amount }));
const colourOf = (parts: readonly RecipePart[]) =>
  mixColour(
    parts.map((part) => part.tube.optics),
    parts.map((part) => part.parts),
  );
const anyPile = fc
  .uniqueArray(
    fc.record({ tube: fc.constantFrom(...tubes), parts: fc.integer({ min: 1, max: 9 }) }),
    {
      minLength: 1,
      maxLength: 3,
      selector: ({ tube: { id } }) => id,
    },
  )
  .map((parts) => parts as RecipePart[]);

describe('a pile and a speck', () => {
  it('moves the way it says, by what can be measured out', () => {
    fc.assert(
      fc.property(anyPile, (parts) => {
        const before = colourOf(parts);
        for (const { move, tube: added, parts: amount, colour } of pileVariations(parts, tubes)) {
          const by = missBetween(before, colour);
          const moved = {
            lighter: by.value,
            darker: -by.value,
            warmer: by.warmth,
            cooler: -by.warmth,
            stronger: by.chroma,
          }[move];
          expect(moved).toBeGreaterThan(0);
          expect(MEASURES).toContain(amount);
          const total = parts.reduce((sum, part) => sum + part.parts, 0);
          const whole = [
            ...parts.map((part) => ({ ...part, parts: (part.parts / total) * PILE_PARTS })),
            { tube: added, parts: amount },
          ];
          expect(missBetween(colourOf(whole), colour).value).toBeCloseTo(0, 6);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('a tint of blue is lightened by white and turned toward green by the cooler blue', () => {
    const found = new Map(
      pileVariations(pile(['PW6', 6], ['PB29', 1]), tubes).map((one) => [one.move, one.tube.id]),
    );
    expect(found.get('lighter')).toBe('PW6');
    expect(found.get('cooler')).toBe('PB15.3');
  });
});

describe('what mutes a pile', () => {
  it('is brought to the pile’s value first, then takes intensity and leaves the value', () => {
    let mutes = 0;
    fc.assert(
      fc.property(anyPile, (parts) => {
        const before = colourOf(parts);
        for (const mute of pileMutes(parts, tubes)) {
          mutes++;
          expect(Math.abs(valueOfOklab(colourOf(mute.first)) - valueOfOklab(before))).toBeLessThan(
            0.25,
          );
          expect(oklchFromOklab(mute.colour).C).toBeLessThan(0.86 * oklchFromOklab(before).C);
          expect(Math.abs(valueOfOklab(mute.colour) - valueOfOklab(before))).toBeLessThanOrEqual(
            0.6 + 1e-9,
          );
          for (const { parts: amount } of [...mute.first, mute]) expect(MEASURES).toContain(amount);
        }
      }),
      { numRuns: 60 },
    );
    expect(mutes).toBeGreaterThan(60);
  });

  it('is a complement, an earth and a grey; no grey without a black, nothing for a pile that is grey', () => {
    const blue = pile(['PW6', 6], ['PB29', 1]);
    expect(pileMutes(blue, tubes).map(({ kind }) => kind)).toEqual([...MUTES]);
    expect(pileMutes(blue, tubesOf(TWELVE)).map(({ kind }) => kind)).toEqual([
      'complement',
      'earth',
    ]);
    expect(pileMutes(pile(['PW6', 5], ['PBk9', 1]), tubes)).toEqual([]);
  });
});

describe('a tube brought to a value', () => {
  it('is met by white or by a dark, and said to be out of reach where it is', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...tubes),
        fc.double({ min: 1.5, max: 9, noNaN: true }),
        (one, value) => {
          const brought = broughtTo(one, value, adjustersOf(tubes));
          if (!brought) return;
          expect(valueOfOklab(paintColour(brought.optics))).toBeGreaterThan(value - 0.11);
          expect(valueOfOklab(paintColour(brought.optics))).toBeLessThan(value + 0.11);
          expect(brought.parts.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        },
      ),
      { numRuns: 100 },
    );
    expect(broughtTo(tube('PB29'), 6, { white: null, dark: null })).toBeNull();
    expect(shareForValue(tube('PB29').optics, tube('PV23').optics, 7)).toBeNull();
  });
});
