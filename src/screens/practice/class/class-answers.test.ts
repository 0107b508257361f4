import { randomUUID } from 'node:crypto';
import { PAINTERS_WHEEL } from '@/core/colour/wheel';
import { MUNSELL_SCALE } from '@/core/colour/value-scale';
import { CLASS_KINDS, roundOf } from '@/core/drills/teachers-round';
import { classRoundSchema, type ClassAnswers, type ClassRound } from '@/contracts/class-round';
import { readClassAnswers } from './class-answers';

const round = (title: string): ClassRound =>
  classRoundSchema.parse({
    id: randomUUID(),
    title,
    wheel: 'painters',
    scale: MUNSELL_SCALE,
    surround: 'grey',
    questions: roundOf(
      4,
      CLASS_KINDS.filter(({ id }) => id === 'family' || id === 'value'),
      {
        difficulty: 0.3,
        wheel: PAINTERS_WHEEL,
        screen: { darkest: 2, lightest: 9 },
        colours: [],
      },
      4,
    ),
  });
const file = (name: string, content: unknown) => ({
  name,
  text: async () => (typeof content === 'string' ? content : JSON.stringify(content)),
});
const answers = (of: ClassRound, given: ClassAnswers['answers']): ClassAnswers => ({
  is: 'answers to a round',
  version: 1,
  id: randomUUID(),
  round: of,
  answers: given,
});
/** A round in which a word is right that isn't there. */
const withRight = (of: ClassRound, right: number): ClassRound => ({
  ...of,
  questions: of.questions.map((question) =>
    question.form.by === 'word'
      ? { ...question, form: { ...question.form, right: [right] } }
      : question,
  ),
});
const value = (n: number) => ({ by: 'value' as const, value: n });
const choice = (n: number) => ({ by: 'choice' as const, choice: n });

describe('what came back of a round', () => {
  it('is spread question by question, each file once, nobody named', async () => {
    const quay = round('Quay');
    const right = quay.questions.map(({ form }) =>
      form.by === 'value' ? value(form.value) : form.by === 'word' ? choice(form.right[0]) : null,
    );
    const wrong = quay.questions.map(({ form }) =>
      form.by === 'value' ? value(0) : form.by === 'word' ? choice((form.right[0] + 1) % 12) : null,
    );
    const first = answers(quay, right);
    const { rounds, refused } = await readClassAnswers([
      file('a.json', first),
      file('b.json', answers(quay, wrong)),
      file('a again.json', first),
      // Another person who was right in all.
      file('d.json', answers(quay, right)),
      file('c.json', answers(quay, [null, ...right.slice(1)])),
    ]);
    expect(refused).toEqual([]);
    expect(rounds).toHaveLength(1);
    const [{ people, spread }] = rounds;
    expect(people).toBe(4);
    expect(spread.map(({ answered }) => answered)).toEqual([3, 4, 4, 4]);
    expect(spread.map(({ right: count }) => count)).toEqual([2, 3, 3, 3]);
  });

  it('of several rounds is told apart, and what is no file of answers is named', async () => {
    const [quay, moor] = [round('Quay'), round('Moor')];
    const { rounds, refused } = await readClassAnswers([
      file('quay.json', answers(quay, [])),
      file('moor 1.json', answers(moor, [])),
      file('moor 2.json', answers(moor, [null])),
      file('photo.json', 'no JSON'),
      file('library.json', { name: 'Fogs' }),
      file('later.json', { ...answers(quay, []), version: 2 }),
      file('crafted.json', answers(withRight(quay, 30), [])),
    ]);
    expect(rounds.map(({ round: { title }, people }) => [title, people])).toEqual([
      ['Moor', 2],
      ['Quay', 1],
    ]);
    expect(refused).toEqual(['photo.json', 'library.json', 'later.json', 'crafted.json']);
  });
});
