import { INTENSITY_WORDS } from '../colour/intensity';
import { PAINTERS_WHEEL } from '../colour/wheel';
import type { Form, Question } from './question';
import { outcomeOf } from './score';

const grey = { L: 0.6, a: 0, b: 0 };
const question = (form: Form, isEstimate = false): Question => ({
  kind: 'value',
  shown: { as: 'patch', colour: grey },
  form,
  about: grey,
  isEstimate,
});
const score = (form: Form, choice: number, isEstimate = false) =>
  outcomeOf(question(form, isEstimate), { by: 'choice', choice }, PAINTERS_WHEEL);

describe('how an answer came out', () => {
  it('is in families for families, either way round the wheel', () => {
    const form: Form = { by: 'word', words: PAINTERS_WHEEL.families, right: [1] };
    expect(score(form, 1)).toEqual({ isRight: true, familyOff: 0 });
    expect(score(form, 11)).toEqual({ isRight: false, familyOff: 2 });
    expect(score(form, 7)).toEqual({ isRight: false, familyOff: 6 });
  });

  it('is in words for intensities, above 0 where too strong was said', () => {
    const form: Form = { by: 'word', words: INTENSITY_WORDS, right: [2] };
    expect(score(form, 4)).toEqual({ isRight: false, intensityOff: 2 });
    expect(score(form, 0)).toEqual({ isRight: false, intensityOff: -2 });
  });

  it('is right by any of several that can be defended, and by none for an estimate', () => {
    const form: Form = { by: 'word', words: ['triad', 'complement', 'tetrad'], right: [0, 2] };
    expect(score(form, 2)).toEqual({ isRight: true });
    expect(score(form, 1)).toEqual({ isRight: false });
    expect(score(form, 0, true)).toEqual({ isRight: null });
  });

  it('counts the pairs that stand the wrong way round, and takes no order that lacks one', () => {
    const of = (order: number[]) =>
      outcomeOf(
        question({ by: 'order', order: [2, 0, 1] }),
        { by: 'order', order },
        PAINTERS_WHEEL,
      );
    expect(of([2, 0, 1])).toEqual({ isRight: true, swapped: 0 });
    expect(of([0, 2, 1])).toEqual({ isRight: false, swapped: 1 });
    for (const order of [[2, 0], [2, 2, 1], [2, 0, 7], []])
      expect(() => of(order)).toThrow(RangeError);
  });

  it('is none for an answer of another form', () => {
    const form: Form = { by: 'value', value: 5, within: 0.5 };
    expect(() => score(form, 1)).toThrow(RangeError);
    expect(outcomeOf(question(form), { by: 'value', value: 5.4 }, PAINTERS_WHEEL)).toEqual({
      isRight: true,
      valueOff: expect.closeTo(0.4),
    });
  });
});
