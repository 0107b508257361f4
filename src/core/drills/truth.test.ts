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
import { truthOf, type TruthRole } from './truth';

const SCREEN = { darkest: 1.5, lightest: 9.2 };
const SEEDS = Array.from({ length: 12 }, (_, i) => 31 * i + 2);
const ask = (id: string): Question[] => {
  const kind = DRILL_KINDS.find((one) => one.id === id)!;
  const making = { difficulty: 0.4, wheel: PAINTERS_WHEEL, screen: SCREEN, colours: [] };
  return SEEDS.flatMap((seed) => questionOf(kind, seed, making) ?? []);
};
const choice = (at: number): Answer => ({ by: 'choice', choice: at });
/** The colours of a truth by what they are. */
const colours = (question: Question, answer: Answer): Partial<Record<TruthRole, Oklab>> =>
  Object.fromEntries(
    truthOf(question, answer, PAINTERS_WHEEL).patches.map(({ role, colour }) => [role, colour]),
  );
const rolesOf = (question: Question, answer: Answer) =>
  truthOf(question, answer, PAINTERS_WHEEL).patches.map(({ role }) => role);
const rightOf = ({ form }: Question): number => ('right' in form ? form.right[0] : -1);

describe('the truth beside an answer', () => {
  it('of a value is the colour, and the same at the value that was said, over their greys', () => {
    for (const question of ask('value')) {
      const { right, answered } = colours(question, { by: 'value', value: 6 });
      expect(right).toEqual(question.about);
      expect(valueOfOklab(answered!)).toBeCloseTo(6, 1);
      expect(chromaOf(answered!)).toBeLessThanOrEqual(chromaOf(right!) + 1e-3);
      expect(truthOf(question, { by: 'value', value: 6 }, PAINTERS_WHEEL).hasGreys).toBe(true);
    }
  });

  it('of a family is the colour turned to the family that was said', () => {
    for (const question of ask('family')) {
      const right = rightOf(question);
      expect(rolesOf(question, choice(right))).toEqual(['right']);
      const said = (right + 2) % 12;
      const { answered } = colours(question, choice(said));
      expect(familyOf(answered!, PAINTERS_WHEEL).index).toBe(said);
    }
  });

  it('of an intensity is the colour as strong as the word that was said', () => {
    for (const question of ask('intensity')) {
      const { answered } = colours(question, choice(1));
      if (rightOf(question) === 1) expect(answered).toBeUndefined();
      else expect(intensityWord(chromaOf(answered!))).toBe('greyed');
    }
  });

  it('is strengthened where families can’t be told apart by eye', () => {
    for (const question of ask('toward what a grey leans')) {
      const told = truthOf(question, choice(0), PAINTERS_WHEEL);
      expect(told.isStrengthened).toBe(true);
      const { right } = colours(question, choice(0));
      expect(chromaOf(right!)).toBeGreaterThan(0.05);
      expect(valueOfOklab(right!)).toBeCloseTo(valueOfOklab(question.about), 1);
    }
  });

  it('of one of several colours stands beside what was asked, over their greys', () => {
    for (const id of ['same value, other hue', 'the shadow of a light', 'the reflection'])
      for (const question of ask(id)) {
        if (question.form.by !== 'colour') throw new Error('no colours');
        const right = rightOf(question);
        expect(rolesOf(question, choice(right))).toEqual(['shown', 'right']);
        const wrong = (right + 1) % question.form.colours.length;
        expect(truthOf(question, choice(wrong), PAINTERS_WHEEL)).toEqual({
          patches: [
            { role: 'shown', colour: question.about },
            { role: 'right', colour: question.form.colours[right] },
            { role: 'answered', colour: question.form.colours[wrong] },
          ],
          isStrengthened: false,
          hasGreys: true,
        });
      }
  });

  it('of a place in a row is the right one and the chosen; where it was right, one that it was told from', () => {
    for (const question of ask('the odd one')) {
      if (question.shown.as !== 'row') throw new Error('no row');
      const row = question.shown.colours;
      const right = rightOf(question);
      const other = (right + 2) % row.length;
      expect(colours(question, choice(right))).toEqual({
        right: row[right],
        another: row[(right + 1) % row.length],
      });
      expect(colours(question, choice(other))).toEqual({ right: row[right], answered: row[other] });
    }
  });

  it('of a pile is the nearest that the chosen tube brings it', () => {
    for (const question of ask('what the pile lacks').slice(0, 4)) {
      const { form, shown } = question;
      if (form.by !== 'word' || shown.as !== 'pile') throw new Error('no pile');
      const far = form.words.map((_, i) => {
        const { right, answered } = colours(question, choice(i));
        expect(right).toBe(shown.wanted);
        return ciede2000(labFromOklab(right!), labFromOklab(answered!));
      });
      expect(far.indexOf(Math.min(...far))).toBe(form.right[0]);
    }
  });

  it('of an order is all in order over their greys; of a scheme no colour; of a grey in a ground the grey', () => {
    const [order] = ask('order by value');
    const told = truthOf(order, { by: 'order', order: [] }, PAINTERS_WHEEL);
    const values = told.patches.map(({ colour }) => valueOfOklab(colour));
    expect(values.length).toBeGreaterThanOrEqual(4);
    expect(values).toEqual(values.toSorted((a, b) => a - b));
    expect(told.hasGreys).toBe(true);
    expect(rolesOf(ask('the scheme')[0], choice(0))).toEqual([]);
    const [inGround] = ask('what a grey reads as');
    expect(colours(inGround, choice(0)).shown).toBe(
      inGround.shown.as === 'in a ground' ? inGround.shown.colour : null,
    );
  });

  it('of a match is what was wanted beside what was made', () => {
    const own = oklabFromHex('#336699') as Oklab;
    const [question] = ask('match');
    expect(colours(question, { by: 'match', colour: own })).toEqual({
      right: question.about,
      answered: own,
    });
  });
});
