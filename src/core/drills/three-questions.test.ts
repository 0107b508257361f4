import fc from 'fast-check';
import { oklabFromHex } from '../colour/hex';
import { INTENSITY_WORDS } from '../colour/intensity';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { familyOf, PAINTERS_WHEEL } from '../colour/wheel';
import { scoreThree } from './three-questions';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const BLUE = PAINTERS_WHEEL.families.indexOf('blue');

describe('the score of three questions', () => {
  it('is full for the right family, value and intensity', () => {
    const colour = of('#2f5f9e');
    const guess = {
      family: familyOf(colour).index,
      value: valueOfOklab(colour) + 0.2,
      intensity: 'moderate' as const,
    };
    expect(scoreThree(colour, guess, PAINTERS_WHEEL)).toMatchObject({
      familyOff: 0,
      intensityOff: 0,
      score: 100,
    });
  });

  it('says which way a guess is off, and goes round the wheel the short way', () => {
    const red = of('#b03a30');
    const guess = { family: 11, value: valueOfOklab(red) + 1.75, intensity: 'vivid' as const };
    const scores = scoreThree(red, guess, PAINTERS_WHEEL);
    expect(familyOf(red).name).toBe('red');
    expect(scores.familyOff).toBe(1);
    expect(scores.valueOff).toBeCloseTo(1.75);
    expect(scores.intensityOff).toBe(1);
    // Two thirds, half and two thirds of a third each.
    expect(scores.score).toBeCloseTo((100 * (2 / 3 + 1 / 2 + 2 / 3)) / 3);
  });

  it('asks no family of a neutral', () => {
    const grey = of('#808080');
    const guess = { family: BLUE, value: valueOfOklab(grey), intensity: 'neutral' as const };
    expect(scoreThree(grey, guess, PAINTERS_WHEEL)).toMatchObject({ familyOff: null, score: 100 });
  });

  it('stays between 0 and 100, and a guess further off never scores more', () => {
    const level = fc.integer({ min: 0, max: 255 });
    fc.assert(
      fc.property(
        fc.tuple(level, level, level),
        fc.integer({ min: 0, max: 11 }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.constantFrom(...INTENSITY_WORDS),
        (rgb, family, value, intensity) => {
          const colour = of(`#${rgb.map((n) => n.toString(16).padStart(2, '0')).join('')}`);
          const { score, valueOff } = scoreThree(
            colour,
            { family, value, intensity },
            PAINTERS_WHEEL,
          );
          expect(score).toBeGreaterThanOrEqual(0);
          expect(score).toBeLessThanOrEqual(100);
          const further = value + Math.sign(valueOff || 1);
          const worse = scoreThree(colour, { family, value: further, intensity }, PAINTERS_WHEEL);
          expect(worse.score).toBeLessThanOrEqual(score + 1e-9);
        },
      ),
    );
  });
});
