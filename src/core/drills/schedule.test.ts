import { createEmptyCard, fsrs } from 'ts-fsrs';
import { randomFrom } from '../seeded';
import { allRegions, regionKey, type ColourRegion } from './region';
import { cardsOf, nextUp, review, type Answered, type Practised } from './schedule';

const DAY = 86_400_000;
const BEGIN = Date.UTC(2026, 8, 1, 18);
const SEEDS = Array.from({ length: 4 }, (_, i) => i * 101 + 7);

const regionOfKey = (key: string) => allRegions().find((region) => regionKey(region) === key)!;
const CANDIDATES = allRegions().map((region) => ({
  skill: 'value' as const,
  region: regionKey(region),
}));

/** Rounds of thirty questions, one a day, each answered as `answer` has it. */
function practise(
  seed: number,
  rounds: number,
  answer: (region: ColourRegion) => boolean,
): Answered[] {
  const random = randomFrom(seed);
  const answers: Answered[] = [];
  const cards = new Map<string, Practised>();
  for (let round = 0; round < rounds; round++)
    for (let number = 0; number < 30; number++) {
      const at = BEGIN + round * DAY + number * 10_000;
      const next = nextUp(cards, CANDIDATES, { now: at, number, before: answers, random });
      const { skill, region } = next;
      answers.push({ at, skill, region, isRight: answer(regionOfKey(region)) });
      review(cards, answers[answers.length - 1]);
    }
  expect(cardsOf(answers)).toEqual(cards);
  return answers;
}

describe('the schedule', () => {
  it('follows the values that are published for FSRS-6', () => {
    const scheduler = fsrs({ enable_fuzz: false });
    let now = new Date('2022-11-29T12:30:00Z');
    let card = createEmptyCard(now);
    const days = [3, 3, 3, 3, 3, 3, 1, 1, 3, 3, 3, 3, 3].map((rating) => {
      card = scheduler.next(card, now, rating).card;
      now = card.due;
      return card.scheduled_days;
    });
    expect(days).toEqual([0, 2, 11, 46, 163, 498, 0, 0, 2, 4, 7, 12, 21]);
    // Ours are the same, from answers alone.
    let at = Date.UTC(2022, 10, 29, 12, 30);
    const answers: Answered[] = [];
    const due = [true, true, true, true, false, true].map((isRight) => {
      answers.push({ at, skill: 'value', region: 'dark red dull', isRight });
      const [{ card: own }] = cardsOf(answers).values();
      at = own.due.getTime();
      return own.scheduled_days;
    });
    expect(due).toEqual([0, 2, 11, 46, 0, expect.any(Number)]);
  });

  it('brings weak regions at least twice as often as strong ones', () => {
    for (const seed of SEEDS) {
      const random = randomFrom(seed + 5);
      const isWeak = ({ family }: ColourRegion) => family === 'yellow' || family === 'violet';
      const answers = practise(seed, 30, (region) => random() < (isWeak(region) ? 0.45 : 0.95));
      const times = (weak: boolean) => {
        const regions = allRegions().filter((region) => isWeak(region) === weak);
        const keys = new Set(regions.map(regionKey));
        return answers.filter(({ region }) => keys.has(region)).length / regions.length;
      };
      expect(times(true)).toBeGreaterThanOrEqual(2 * times(false));
      expect(times(false)).toBeGreaterThan(1);
    }
  });

  it('asks nothing twice in a row, and what isn’t scored changes nothing', () => {
    const answers = practise(3, 1, () => false);
    answers.slice(1).forEach(({ region }, i) => expect(region).not.toBe(answers[i].region));
    const estimate = { at: BEGIN, skill: 'contrast' as const, region: 'dark red dull' };
    expect(cardsOf([{ ...estimate, isRight: null }]).size).toBe(0);
    expect(() => nextUp(new Map(), [], { now: 0, number: 0, random: () => 0 })).toThrow(RangeError);
  });
});
