import { oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { PAINTERS_WHEEL } from '../colour/wheel';
import { randomFrom } from '../seeded';
import { DRILL_KINDS } from './kinds';
import { SKILLS, type Question, type Skill } from './question';
import { nextQuestion, practisedRegion, standingOf, takeAnswer, type RoundAnswer } from './round';
import { START } from './staircase';

const MAKING = {
  wheel: PAINTERS_WHEEL,
  screen: { darkest: 1.5, lightest: 9.2 },
  colours: [] as Oklab[],
};
const DAY = 86_400_000;
const skillOf = ({ kind }: Question) => DRILL_KINDS.find(({ id }) => id === kind)!.skill;

/** Rounds of twenty, a day apart, answered as `isRight` has it. */
function rounds(
  count: number,
  isRight: (question: Question, random: () => number) => boolean,
  { skills = SKILLS, making = MAKING }: { skills?: readonly Skill[]; making?: typeof MAKING } = {},
) {
  const random = randomFrom(11);
  const answers: RoundAnswer[] = [];
  const questions: Question[] = [];
  const standing = standingOf([]);
  for (let round = 0; round < count; round++)
    for (let number = 0; number < 20; number++) {
      const now = round * DAY + number * 15_000;
      const question = nextQuestion(standing, making, {
        skills,
        now,
        number,
        before: answers,
        random,
      })!;
      const skill = skillOf(question);
      const answer = {
        at: now,
        kind: question.kind,
        skill,
        region: practisedRegion(skill, question.about),
        isRight: question.isEstimate ? null : isRight(question, random),
      };
      questions.push(question);
      answers.push(answer);
      takeAnswer(standing, answer);
    }
  return { answers, questions, standing };
}

describe('a round', () => {
  it('asks of every skill and kind before long, and knows the same from the answers alone', () => {
    const { answers, standing } = rounds(20, (_, random) => random() < 0.8);
    expect(new Set(answers.map(({ skill }) => skill))).toEqual(new Set(SKILLS));
    expect(new Set(answers.map(({ kind }) => kind)).size).toBe(DRILL_KINDS.length);
    const again = standingOf([...answers].reverse());
    expect(again.staircases).toEqual(standing.staircases);
    expect(again.cards).toEqual(standing.cards);
  });

  it('grows harder for one who is right, and easier for one who isn’t', () => {
    const skills = ['value', 'family'] as const;
    const good = rounds(3, () => true, { skills });
    const bad = rounds(3, () => false, { skills });
    for (const id of ['value', 'family']) {
      expect(good.standing.staircases.get(id)!.difficulty).toBeGreaterThan(START.difficulty);
      expect(bad.standing.staircases.get(id)!.difficulty).toBe(0);
    }
    const within = ({ form }: Question) => (form.by === 'value' ? [form.within] : []);
    expect(good.questions.flatMap(within).at(-1)).toBeLessThan(
      bad.questions.flatMap(within).at(-1)!,
    );
  });

  it('asks again the next day about what was missed', () => {
    const skills = ['family'] as const;
    const missed = new Set<string>();
    const { answers } = rounds(
      2,
      ({ about }) => {
        const region = practisedRegion('family', about);
        const isMissed = /blue/.test(region);
        if (isMissed) missed.add(region);
        return !isMissed;
      },
      { skills },
    );
    const next = answers.slice(20).map(({ region }) => region);
    expect(missed.size).toBeGreaterThan(0);
    const first = new Set(answers.slice(0, 20).map(({ region }) => region));
    for (const region of missed) if (first.has(region)) expect(next).toContain(region);
  });

  it('is made of one’s own colours where they suit', () => {
    const colours = ['#8a5a33', '#2f5f9e', '#b9b27a'].map((hex) => oklabFromHex(hex) as Oklab);
    const { questions } = rounds(1, () => true, {
      skills: ['value'],
      making: { ...MAKING, colours },
    });
    const own = questions.filter(({ about }) => colours.includes(about));
    expect(own.length).toBeGreaterThan(0);
  });
});
