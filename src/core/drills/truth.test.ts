import { intensityWord } from '../colour/intensity';
import { oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { familyOf, PAINTERS_WHEEL } from '../colour/wheel';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { DRILL_KINDS, questionOf } from './kinds';
import { chromaOf } from './making';
import type { Answer, Question } from './question';
import { truthOf } from './truth';

const SCREEN = { darkest: 1.5, lightest: 9.2 };
const SEEDS = Array.from({ length: 12 }, (_, i) => 31 * i + 2);
const ask = (id: string): Question[] => {
  const kind = DRILL_KINDS.find((one) => one.id === id)!;
  const making = { difficulty: 0.4, wheel: PAINTERS_WHEEL, screen: SCREEN, colours: [] };
  return SEEDS.flatMap((seed) => questionOf(kind, seed, making) ?? []);
};
const choice = (at: number): Answer => ({ by: 'choice', choice: at });
const truth = (question: Question, answer: Answer) => truthOf(question, answer, PAINTERS_WHEEL);

describe('the truth beside an answer', () => {
  it('of a value is the colour, and the same at the value that was said', () => {
    for (const question of ask('value')) {
      const told = truth(question, { by: 'value', value: 6 })!;
      expect(told.right).toEqual(question.about);
      expect(valueOfOklab(told.answered!)).toBeCloseTo(6, 1);
      expect(chromaOf(told.answered!)).toBeLessThanOrEqual(chromaOf(told.right) + 1e-3);
    }
  });

  it('of a family is the colour turned to the family that was said', () => {
    for (const question of ask('family')) {
      const right = question.form.by === 'word' ? question.form.right[0] : 0;
      expect(truth(question, choice(right))!.answered).toBeNull();
      const said = (right + 2) % 12;
      expect(familyOf(truth(question, choice(said))!.answered!, PAINTERS_WHEEL).index).toBe(said);
    }
  });

  it('of an intensity is the colour as strong as the word that was said', () => {
    for (const question of ask('intensity')) {
      const { answered } = truth(question, choice(1))!;
      if (answered) expect(intensityWord(chromaOf(answered))).toBe('greyed');
    }
  });

  it('is strengthened where families can’t be told apart by eye', () => {
    for (const question of ask('toward what a grey leans')) {
      const told = truth(question, choice(0))!;
      expect(told.isStrengthened).toBe(true);
      expect(chromaOf(told.right)).toBeGreaterThan(0.05);
      expect(valueOfOklab(told.right)).toBeCloseTo(valueOfOklab(question.about), 1);
    }
  });

  it('of a pile is the nearest that the chosen tube brings it', () => {
    for (const question of ask('what the pile lacks').slice(0, 4)) {
      const { form, shown } = question;
      if (form.by !== 'word' || shown.as !== 'pile') throw new Error('no pile');
      const far = (at: number) => {
        const { right, answered } = truth(question, choice(at))!;
        expect(right).toBe(shown.wanted);
        return ciede2000(labFromOklab(right), labFromOklab(answered!));
      };
      const all = form.words.map((_, i) => far(i));
      expect(all.indexOf(Math.min(...all))).toBe(form.right[0]);
    }
  });

  it('of an order, a scheme and a grey in a ground is no one colour', () => {
    const of = (id: string, answer: Answer) => truth(ask(id)[0], answer);
    expect(of('order by value', { by: 'order', order: [0] })).toBeNull();
    expect(of('the scheme', choice(0))).toBeNull();
    expect(of('what a grey reads as', choice(0))).toBeNull();
  });

  it('of a match is what was wanted beside what was made', () => {
    const own = oklabFromHex('#336699') as Oklab;
    const [question] = ask('match');
    expect(truth(question, { by: 'match', colour: own })).toMatchObject({
      right: question.about,
      answered: own,
    });
  });
});
