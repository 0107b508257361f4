import { oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { PAINTERS_WHEEL } from '../colour/wheel';
import { answersOfOffs, offOfRelation, offsOf } from './misses';
import { scoreThree } from './three-questions';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const rights = (answers: ReturnType<typeof answersOfOffs>) =>
  Object.fromEntries(answers.map(({ skill, isRight }) => [skill, isRight]));

const answersOfTrial = (wanted: Oklab, got: Oklab) => answersOfOffs(0, wanted, offsOf(wanted, got));

describe('what was missed elsewhere', () => {
  it('is practised: a guess on the Desk counts as three answers, in the region of its colour', () => {
    const blue = of('#2f5f9e');
    const guess = { family: 8, value: 6.5, intensity: 'moderate' as const };
    const answers = answersOfOffs(5, blue, scoreThree(blue, guess, PAINTERS_WHEEL));
    expect(rights(answers)).toEqual({ family: true, value: false, intensity: true });
    expect(answers.every(({ at, region }) => at === 5 && region === 'middle blue moderate')).toBe(
      true,
    );
  });

  it('of a grey has no family', () => {
    const grey = of('#808080');
    const guess = { family: 2, value: 5.3, intensity: 'neutral' as const };
    const answers = answersOfOffs(0, grey, scoreThree(grey, guess, PAINTERS_WHEEL));
    expect(rights(answers)).toEqual({ value: true, intensity: true });
  });

  it('of a recipe is what it came out off', () => {
    const wanted = of('#7c9a4e');
    expect(rights(answersOfTrial(wanted, wanted))).toEqual({
      family: true,
      value: true,
      intensity: true,
    });
    expect(rights(answersOfTrial(wanted, of('#b8c94e')))).toMatchObject({ value: false });
    expect(rights(answersOfTrial(wanted, of('#9a7c4e')))).toMatchObject({ family: false });
    expect(rights(answersOfTrial(wanted, of('#8f8f8e')))).toEqual({
      value: true,
      intensity: false,
    });
  });

  it('of a study is what a relation is off its model', () => {
    const model = of('#7c5a3e');
    const even = offOfRelation(model, { value: 0, chroma: 0, hue: 0 });
    expect(even).toMatchObject({ familyOff: 0, intensityOff: 0 });
    expect(even.valueOff).toBeCloseTo(0, 1);
    const light = offOfRelation(model, { value: 1.5, chroma: 0, hue: 0 });
    expect(light.valueOff).toBeCloseTo(1.5, 1);
    expect(offOfRelation(model, { value: 0, chroma: 0.06, hue: 0 }).intensityOff).toBeGreaterThan(
      0,
    );
    expect(offOfRelation(model, { value: 0, chroma: 0, hue: 70 }).familyOff).toBeGreaterThan(0);
    // What lies beyond white is white.
    expect(offOfRelation(of('#f4f0e8'), { value: 5, chroma: 0, hue: 0 }).valueOff).toBeLessThan(1);
  });
});
