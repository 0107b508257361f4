import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import { valueOfOklab } from '@/core/colour/value';
import { familyOf, PAINTERS_WHEEL } from '@/core/colour/wheel';
import { CLASS_KINDS } from '@/core/drills/teachers-round';
import { DRILL_KINDS, questionOf } from '@/core/drills/kinds';
import type { Answer, Question } from '@/core/drills/question';
import { outcomeOf } from '@/core/drills/score';
import { promptOf } from './question-words';
import { whyOf } from './why';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const SETTINGS = {
  scale: MUNSELL_SCALE,
  wheel: PAINTERS_WHEEL,
  surround: 'grey' as 'grey' | 'night' | 'paper',
  nameOf: (word: string) => `tube ${word}`,
};
const why = (question: Question, answer: Answer, part: Partial<typeof SETTINGS> = {}) =>
  whyOf({
    question,
    answer,
    outcome: outcomeOf(question, answer, PAINTERS_WHEEL),
    ...SETTINGS,
    ...part,
  });
const valueOf = (hex: string): Question => ({
  kind: 'value',
  shown: { as: 'patch', colour: of(hex) },
  form: { by: 'value', value: valueOfOklab(of(hex)), within: 0.5 },
  about: of(hex),
  isEstimate: false,
});
const said = (question: Question, off: number): Answer => ({
  by: 'value',
  value: (question.form.by === 'value' ? question.form.value : 0) + off,
});

describe('the sentence after an answer', () => {
  it('says of a value what it is, how far it was read off, and why that may be', () => {
    const grey = valueOf('#808080');
    expect(why(grey, said(grey, 0.1))).toBe('It is 5.3.');
    expect(why(grey, said(grey, 1))).toBe('It is 5.3; you read it one step too light.');
    expect(why(grey, said(grey, 1), { surround: 'night' })).toContain('a dark surround');
    expect(why(grey, said(grey, -1), { surround: 'paper' })).toContain('a light surround');
    expect(why(grey, said(grey, -0.4))).toContain('near enough');
    const red = valueOf('#d0342c');
    expect(why(red, said(red, 1.5))).toContain('strong colours look lighter than they are');
  });

  it('says of a place in a picture what it was seen against', () => {
    const grey = valueOf('#808080');
    const inPicture = (around: string): Question => ({
      ...grey,
      shown: {
        as: 'place',
        colour: grey.about,
        place: {
          ...{ picture: 'p', title: 'Quay', aspect: 1.5, x: 0.4, y: 0.5, radius: 0.02 },
          colour: grey.about,
          around: of(around),
        },
      },
    });
    expect(promptOf(inPicture('#202428'))).toBe('How light is the place in the ring?');
    expect(why(inPicture('#202428'), said(grey, 1))).toContain('seen against what is darker');
    expect(why(inPicture('#202428'), said(grey, -1))).not.toContain('seen against');
    expect(why(inPicture('#e8e4d8'), said(grey, -1))).toContain('seen against what is lighter');
  });

  it('says of a family how far it was off, and what misleads', () => {
    const ask = (hex: string): Question => ({
      kind: 'family',
      shown: { as: 'patch', colour: of(hex) },
      form: {
        by: 'word',
        words: PAINTERS_WHEEL.families,
        right: [familyOf(of(hex), PAINTERS_WHEEL).index],
      },
      about: of(hex),
      isEstimate: false,
    });
    const blue = ask('#2f5f9e');
    expect(why(blue, { by: 'choice', choice: 8 })).toBe('It is blue.');
    expect(why(blue, { by: 'choice', choice: 6 })).toBe(
      'You read it two families off: it is blue, seen as green.',
    );
    // What misleads is said only where it led that way.
    expect(why(ask('#6b5f10'), { by: 'choice', choice: 6 })).toContain('a dark yellow looks green');
    expect(why(ask('#6b5f10'), { by: 'choice', choice: 1 })).not.toContain('green');
    expect(why(ask('#6e3a12'), { by: 'choice', choice: 0 })).toContain('what we call browns');
  });

  it('is one plain sentence for every kind, right or wrong, and each kind asks something', () => {
    for (const kind of DRILL_KINDS) {
      for (const seed of [2, 3, 4]) {
        const question = questionOf(kind, seed, {
          difficulty: 0.4,
          wheel: PAINTERS_WHEEL,
          screen: { darkest: 1.5, lightest: 9.2 },
          colours: [],
        });
        if (!question) continue;
        expect(promptOf(question)).toMatch(/^[A-Z].*[?.]$/);
        for (const answer of answersTo(question)) {
          const words = why(question, answer);
          expect({ kind: kind.id, words }).toEqual({
            kind: kind.id,
            words: expect.stringMatching(/^[A-Z0-9][^{}]{6,180}\.$/),
          });
          expect(words).not.toMatch(/undefined|NaN|\.\./);
        }
      }
    }
    expect(promptOf({ ...valueOf('#808080'), kind: 'of old' })).toBe('');
    expect(CLASS_KINDS.length).toBe(DRILL_KINDS.length - 1);
  });

  it('says in what the odd one differs, and which families make a scheme', () => {
    const row = (odd: string): Question => ({
      kind: 'the odd one',
      shown: { as: 'row', colours: [of('#7c5a3e'), of(odd), of('#7c5a3e')] },
      form: { by: 'place', right: [1] },
      about: of('#7c5a3e'),
      isEstimate: false,
    });
    const told = (odd: string) => why(row(odd), { by: 'choice', choice: 0 });
    expect(told('#8c6a4d')).toBe('Number 2 is the other colour: lighter.');
    expect(told('#6a5c52')).toBe('Number 2 is the other colour: duller.');
    expect(told('#785d38')).toBe('Number 2 is the other colour: of another hue.');
    const scheme: Question = {
      kind: 'the scheme',
      shown: {
        as: 'field',
        areas: [
          { colour: of('#2f5f9e'), share: 0.3 },
          { colour: of('#d08a30'), share: 0.7 },
        ],
      },
      form: { by: 'word', words: ['triad', 'complement'], right: [1] },
      about: of('#2f5f9e'),
      isEstimate: false,
    };
    const plain = { ...SETTINGS, nameOf: (word: string) => word };
    expect(why(scheme, { by: 'choice', choice: 0 }, plain)).toMatch(
      /^It is complement: its colours lie in (?:yellow-)?orange and blue\.$/,
    );
  });

  it('names a tube by its name', () => {
    const question = questionOf(
      DRILL_KINDS.find(({ id }) => id === 'what the pile lacks')!,
      3,
      {
        difficulty: 0.2,
        wheel: PAINTERS_WHEEL,
        screen: { darkest: 1, lightest: 9.5 },
        colours: [],
      },
    )!;
    expect(why(question, { by: 'choice', choice: 0 })).toMatch(/^It is tube P/);
  });
});

function answersTo({ form, about }: Question): Answer[] {
  switch (form.by) {
    case 'value':
      return [-2, 0, 2].map((off) => ({ by: 'value', value: form.value + off }));
    case 'order':
      return [
        { by: 'order', order: form.order },
        { by: 'order', order: [...form.order].reverse() },
      ];
    case 'match':
      return [
        { by: 'match', colour: about },
        { by: 'match', colour: { L: 0.9, a: 0.02, b: 0.05 } },
      ];
    case 'word':
      return form.words.map((_, choice) => ({ by: 'choice', choice }));
    default:
      return [0, 1].map((choice) => ({ by: 'choice', choice }));
  }
}
