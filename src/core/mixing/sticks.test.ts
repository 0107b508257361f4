import fc from 'fast-check';
import { oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { anySrgb } from '../testing';
import { gapWords, laidOut, stickGaps } from './stick-plan';
import { overlaid, SECOND_STICK, SHOWING, stickCost, stickRecipes } from './sticks';
import { stickSet } from './testing/stick-sets';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const set = stickSet(11, [1.8, 3, 4.5, 6, 7.5]);

describe('a stick over another', () => {
  it('at half cover lies between the two in value', () => {
    fc.assert(
      fc.property(anySrgb, anySrgb, fc.constantFrom(...SHOWING), (under, over, showing) => {
        const value = valueOfOklab(overlaid(under, over, showing));
        const [one, other] = [valueOfOklab(under), valueOfOklab(over)];
        expect(value).toBeGreaterThanOrEqual(Math.min(one, other) - 1e-3);
        expect(value).toBeLessThanOrEqual(Math.max(one, other) + 1e-3);
      }),
    );
  });

  it('is the lower one where all of it shows, and the upper one where nothing does', () => {
    const [under, over] = [of('#304060'), of('#d0b080')];
    expect(overlaid(under, over, 1).L).toBeCloseTo(under.L, 4);
    expect(overlaid(under, over, 0).L).toBeCloseTo(over.L, 4);
  });
});

describe('recipes of sticks', () => {
  it('are the best of all single sticks and pairs, as trying every one finds', () => {
    const few = stickSet(3, [2, 5, 8]).slice(0, 12);
    fc.assert(
      fc.property(anySrgb, (target) => {
        const found = stickRecipes(target, few, 3);
        const every = few
          .flatMap((under) => [
            stickCost(target, under.colour),
            ...few
              .filter((over) => over !== under)
              .flatMap((over) =>
                SHOWING.map(
                  (showing) =>
                    stickCost(target, overlaid(under.colour, over.colour, showing)) + SECOND_STICK,
                ),
              ),
          ])
          .sort((one, other) => one - other);
        found.forEach(({ cost }, i) => expect(cost).toBeCloseTo(every[i], 3));
      }),
      { numRuns: 40 },
    );
  });

  it('take a stick alone where it is the colour', () => {
    for (const stick of set.slice(0, 40)) {
      const [best] = stickRecipes(stick.colour, set);
      expect(best).toMatchObject({ stick: { id: stick.id }, over: null });
      expect(best.cost).toBeCloseTo(0, 6);
    }
  });

  it('hold the value before the family, and the family before the intensity', () => {
    const target = of('#7a3a30');
    const value = valueOfOklab(target);
    const sticks = [
      { id: 'right value, other family', colour: of('#3f4f70') },
      { id: 'right family, two steps lighter', colour: of('#b8695c') },
    ];
    expect(Math.abs(valueOfOklab(sticks[0].colour) - value)).toBeLessThan(0.5);
    expect(Math.abs(valueOfOklab(sticks[1].colour) - value)).toBeGreaterThan(1.5);
    const dull = { id: 'same value and family, duller', colour: of('#634540') };
    expect(stickRecipes(target, [...sticks, dull])[0].stick.id).toBe(dull.id);
    expect(stickCost(target, dull.colour)).toBeLessThan(stickCost(target, sticks[0].colour));
  });

  it('refuse an empty set', () => {
    expect(() => stickRecipes(of('#808080'), [])).toThrow(RangeError);
  });
});

describe('a set and a picture', () => {
  const planned = (hex: string, share: number, role: 'accent' | null = null) => ({
    colour: of(hex),
    share,
    role,
    recipe: stickRecipes(of(hex), set)[0],
  });

  it('sticks are laid out once each, from the underpainting to the neutrals', () => {
    const plan = laidOut([
      planned('#6d7f95', 0.4),
      planned('#8a8884', 0.1),
      planned('#f0e6c8', 0.2),
      planned('#c83018', 0.02, 'accent'),
      planned('#4a5a48', 0.28),
    ]);
    const ids = plan.map(({ stick }) => stick.id);
    expect(new Set(ids).size).toBe(ids.length);
    const stages = plan.map(({ stage }) => stage);
    const order = ['underpainting', 'body', 'lights', 'accents', 'neutrals'];
    expect(stages.map((stage) => order.indexOf(stage))).toEqual(
      stages.map((stage) => order.indexOf(stage)).toSorted((one, other) => one - other),
    );
    expect(stages).toEqual(expect.arrayContaining(['body', 'lights', 'accents', 'neutrals']));
  });

  it('what a set lacks is said in words', () => {
    const warm = set.filter(({ id }) => id.startsWith('0 ') || id.startsWith('grey'));
    const gaps = stickGaps(warm);
    expect(gaps.map(gapWords)).toContain('no cool dark under value 2.5');
    expect(gaps.map(gapWords)).toContain('no cool light over value 8.5');
    expect(gaps.map(gapWords)).not.toContain('no neutral dark under value 2.5');
    const whole = stickSet(12, [1, 3.5, 5.5, 7.5, 9]);
    expect(stickGaps(whole).filter(({ from }) => from < 8)).toEqual([]);
  });
});
