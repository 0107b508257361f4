import { createEmptyCard, fsrs } from 'ts-fsrs';
import { randomFrom } from '../seeded';
import { profileOf, type Measured } from './profile';
import {
  boundsOf,
  allRegions,
  regionKey,
  regionOf,
  VALUE_THIRDS,
  type ColourRegion,
} from './region';
import {
  cardsOf,
  nextUp,
  review,
  type Answered,
  type Practised,
  type SkillInRegion,
} from './schedule';
import { START, stepped } from './staircase';
import { learner } from './testing/learner';
import { colourAt } from './making';
import { PAINTERS_WHEEL } from '../colour/wheel';

const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;
const BEGIN = Date.UTC(2026, 8, 1, 18);
const SEEDS = Array.from({ length: 20 }, (_, i) => i * 101 + 7);

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
    for (let number = 0, last: SkillInRegion | undefined; number < 30; number++) {
      const at = BEGIN + round * DAY + number * 10_000;
      const next = nextUp(cards, CANDIDATES, { now: at, number, last, random });
      last = next;
      const { skill, region } = next;
      answers.push({ at, skill, region, isRight: answer(regionOfKey(region)) });
      review(cards, answers[answers.length - 1]);
    }
  expect(cardsOf(answers)).toEqual(cards);
  return answers;
}

describe('regions of colour', () => {
  it('have colours of theirs, and a key each', () => {
    expect(allRegions().length).toBeGreaterThan(90);
    expect(new Set(allRegions().map(regionKey)).size).toBe(allRegions().length);
    for (const region of allRegions()) {
      const { value, chroma, position } = boundsOf(region);
      const middle = ([from, to]: readonly [number, number]) => (from + to) / 2;
      const colour = colourAt(PAINTERS_WHEEL, middle(position), middle(value), middle(chroma));
      expect(regionOf(colour)).toEqual(region);
    }
  });
});

describe('the staircase', () => {
  it('ends within five points of three of four right', () => {
    const ends = Array.from({ length: 200 }, (_, seed) => {
      const random = randomFrom(seed * 101 + 7);
      const place = 0.25 + 0.5 * random();
      const share = (difficulty: number) => 1 / (1 + Math.exp((difficulty - place) * 9));
      let now = START;
      const levels: number[] = [];
      for (let i = 0; i < 150; i++) {
        levels.push(now.difficulty);
        now = stepped(now, random() < share(now.difficulty));
      }
      const last = levels.slice(-100);
      return share(last.reduce((sum, one) => sum + one, 0) / last.length);
    });
    const mean = ends.reduce((sum, one) => sum + one, 0) / ends.length;
    expect(Math.abs(mean - 0.75)).toBeLessThan(0.02);
    // By chance alone the share of 150 answers is off by more than five points for one person in six.
    const within = ends.filter((share) => Math.abs(share - 0.75) <= 0.05);
    expect(within.length).toBeGreaterThanOrEqual(0.7 * ends.length);
    expect(ends.every((share) => Math.abs(share - 0.75) < 0.15)).toBe(true);
  });

  it('stays between easy and hard', () => {
    let now = START;
    for (let i = 0; i < 50; i++) now = stepped(now, true);
    expect(now.difficulty).toBe(1);
    for (let i = 0; i < 50; i++) now = stepped(now, false);
    expect(now.difficulty).toBe(0);
  });
});

describe('the profile', () => {
  const lean = ({ value }: ColourRegion) => ({ dark: -0.4, middle: 0.1, light: 0.6 })[value];

  it('measures a learner in 150 answers: within 0.2 step by third, within 15 % of the spread', () => {
    let [spreads, biases] = [0, 0];
    for (const seed of SEEDS) {
      const person = learner(seed, { lean, spread: 0.6, learning: 0.006 });
      const random = randomFrom(seed + 1);
      const answers: Measured[] = [];
      const truth = new Map<string, number[]>(VALUE_THIRDS.map((third) => [third, []]));
      for (let i = 0; i < 150; i++) {
        const region = allRegions()[Math.floor(random() * allRegions().length)];
        truth.get(region.value)!.push(person.bias(region));
        answers.push({ region, off: person.off(region) });
      }
      const profile = profileOf(answers)!;
      if (Math.abs(profile.spread / 0.6 - 1) <= 0.15) spreads++;
      for (const third of VALUE_THIRDS) {
        const own = truth.get(third)!;
        const real = own.reduce((sum, one) => sum + one, 0) / own.length;
        const { bias } = profile.leanings.find(({ is }) => is === third)!;
        if (Math.abs(profile.bias + bias - real) <= 0.2) biases++;
      }
    }
    expect(spreads).toBeGreaterThanOrEqual(19);
    expect(biases).toBeGreaterThanOrEqual(0.95 * 3 * SEEDS.length);
  });

  it('doesn’t blame the dark for a family that was mostly met there', () => {
    const dark: ColourRegion = { value: 'dark', family: 'violet', intensity: 'dull' };
    const others = PAINTERS_WHEEL.families.filter((family) => family !== 'violet');
    const answers: Measured[] = Array.from({ length: 120 }, (_, i) => ({
      region:
        i % 3 === 0
          ? dark
          : { ...dark, value: VALUE_THIRDS[i % 2 === 0 ? 0 : 2], family: others[i % 11] },
      off: i % 3 === 0 ? 0.9 : 0,
    }));
    const { leanings, bias } = profileOf(answers)!;
    const of = (is: string) => leanings.find((one) => one.is === is)!.bias;
    expect(of('violet')).toBeGreaterThan(0.4);
    expect(Math.abs(of('dark'))).toBeLessThan(0.2);
    expect(bias).toBeCloseTo(0.3, 1);
  });

  it('says nothing of no answers, and is sure of little after few', () => {
    expect(profileOf([])).toBeNull();
    const region = allRegions()[40];
    const one = profileOf([{ region, off: 1 }])!;
    expect(one).toMatchObject({ count: 1, bias: 1 });
    const few = profileOf([
      { region, off: 1 },
      { region: allRegions()[0], off: -1 },
    ])!;
    for (const { bias, error } of few.leanings) expect(Math.abs(bias)).toBeLessThan(2 * error);
  });
});

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
    for (const seed of SEEDS.slice(0, 4)) {
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
