import { PAINTERS_WHEEL } from '../colour/wheel';
import type { Answer, Question } from './question';
import { CLASS_KINDS, roundOf, spreadOf } from './teachers-round';

const MAKING = {
  difficulty: 0.4,
  wheel: PAINTERS_WHEEL,
  screen: { darkest: 1.5, lightest: 9.2 },
  colours: [],
};
const questions = roundOf(5, CLASS_KINDS, MAKING, 30);
const rightOf = ({ form }: Question): Answer => {
  switch (form.by) {
    case 'value':
      return { by: 'value', value: form.value };
    case 'order':
      return { by: 'order', order: form.order };
    case 'match':
      return { by: 'match', colour: form.colour };
    default:
      return { by: 'choice', choice: form.right[0] };
  }
};

describe('a teacher’s round', () => {
  it('has as many questions as were wanted, of all kinds in turn, always the same', () => {
    expect(questions.length).toBe(30);
    expect(new Set(questions.map(({ kind }) => kind)).size).toBe(CLASS_KINDS.length);
    expect(roundOf(5, CLASS_KINDS, MAKING, 30)).toEqual(questions);
    expect(roundOf(6, CLASS_KINDS, MAKING, 30)).not.toEqual(questions);
  });

  it('has none where nothing can be asked', () => {
    const none = { id: 'none', skill: 'value' as const, make: () => null };
    expect(roundOf(1, [none], MAKING, 10)).toEqual([]);
  });

  it('shows how a class answered: how many right, what was chosen, how values spread', () => {
    const allRight = questions.map(rightOf);
    const spread = spreadOf(
      questions,
      [allRight, allRight, questions.map(() => null)],
      PAINTERS_WHEEL,
    );
    spread.forEach(({ answered, right, chosen, valueOff }, i) => {
      const { form, isEstimate } = questions[i];
      expect(answered).toBe(2);
      expect(right).toBe(isEstimate ? null : 2);
      if (form.by === 'value') expect(valueOff).toEqual([0, 0, 0]);
      if (form.by === 'word') {
        expect(chosen).toHaveLength(form.words.length);
        expect(chosen?.[form.right[0]]).toBe(2);
      }
    });
    const at = questions.findIndex(({ form }) => form.by === 'value');
    const { form } = questions[at];
    if (form.by !== 'value') throw new Error('by value');
    const offs = [-1, 0, 0, 2].map((off): Answer[] =>
      questions.map(() => ({ by: 'value', value: form.value + off })),
    );
    expect(spreadOf(questions, offs, PAINTERS_WHEEL)[at].valueOff?.[1]).toBeCloseTo(0, 9);
  });

  it('takes an answer of another form for none, and nobody for nobody', () => {
    const wrong = questions.map((): Answer => ({ by: 'order', order: [0] }));
    const spread = spreadOf(questions, [wrong], PAINTERS_WHEEL);
    expect(spread.every(({ answered }) => answered === 0)).toBe(true);
    expect(spreadOf(questions, [], PAINTERS_WHEEL).every(({ right }) => !right)).toBe(true);
  });
});
