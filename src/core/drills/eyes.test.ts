import { oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { PAINTERS_WHEEL } from '../colour/wheel';
import { randomFrom } from '../seeded';
import { coloursOf, isSeen, skillsFor } from './eyes';
import { DRILL_KINDS } from './kinds';
import { SKILLS } from './question';
import type { SkillInRegion } from './schedule';
import { nextQuestion, practisedRegion, standingOf, takeAnswer } from './round';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const EYES = 'no red and green';

describe('eyes that don’t part red and green', () => {
  it('see greys, blues and yellows as others do, and no reds, greens or violets', () => {
    for (const hex of ['#808080', '#d8b93c', '#2a5fb0', '#303236'])
      expect(isSeen(of(hex), EYES)).toBe(true);
    for (const hex of ['#b03a3a', '#3f8a4c', '#a04a90', '#6f7f3a'])
      expect({ hex, isSeen: isSeen(of(hex), EYES) }).toEqual({ hex, isSeen: false });
    expect(isSeen(of('#b03a3a'), 'all hues')).toBe(true);
  });

  it('are asked of value and intensity alone, in colours that they see, and never run out', () => {
    const random = randomFrom(4);
    const standing = standingOf([]);
    const colours = ['#b03a3a', '#3f8a4c', '#d8b93c', '#5d6b7a'].map(of);
    const kinds = new Set<string>();
    const before: SkillInRegion[] = [];
    for (let number = 0; number < 60; number++) {
      const question = nextQuestion(
        standing,
        {
          wheel: PAINTERS_WHEEL,
          screen: { darkest: 1.5, lightest: 9.2 },
          colours,
          eyes: EYES,
        },
        { skills: SKILLS, now: number * 20_000, number, before, random },
      )!;
      for (const colour of coloursOf(question)) expect(isSeen(colour, EYES)).toBe(true);
      const { skill } = DRILL_KINDS.find(({ id }) => id === question.kind)!;
      expect(['value', 'intensity', 'order']).toContain(skill);
      kinds.add(question.kind);
      const region = practisedRegion(skill, question.about);
      before.push({ skill, region });
      takeAnswer(standing, {
        at: number * 20_000,
        kind: question.kind,
        ...{ skill, region },
        isRight: random() < 0.7,
      });
    }
    expect(kinds).toEqual(
      new Set([
        'value',
        'intensity',
        'order by value',
        'same value, other hue',
        'lightness against brightness',
      ]),
    );
    expect(skillsFor(['family', 'lean'], EYES)).toEqual([]);
    expect(skillsFor(SKILLS, 'all hues')).toEqual(SKILLS);
  });
});
