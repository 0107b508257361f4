import { createEmptyCard, fsrs, Rating, type Card } from 'ts-fsrs';
import { oneOf } from './making';
import type { Skill } from './question';

/** An answer as it is remembered. */
export interface Answered extends SkillInRegion {
  /** Milliseconds since 1970. */
  at: number;
  /** Null for what isn't scored. */
  isRight: boolean | null;
}

/** What is scheduled: a skill in a region of colour. */
export interface SkillInRegion {
  skill: Skill;
  region: string;
}

export interface Practised extends SkillInRegion {
  card: Card;
}

/** Without chance: what is due follows from the answers alone. */
const scheduler = fsrs({ enable_fuzz: false });

const keyOf = (skill: Skill, region: string) => `${skill} · ${region}`;

/**
 * The cards of all that was answered, by the answers in the order of their time: nothing but the answers has to be kept.
 * Source: J. Ye, J. Su, Y. Cao, "A stochastic shortest path algorithm for optimizing spaced repetition scheduling", KDD 2022;
 * FSRS-6 with its default weights, by ts-fsrs.
 */
export function cardsOf(answers: readonly Answered[]): Map<string, Practised> {
  const cards = new Map<string, Practised>();
  const inOrder = [...answers].sort((one, other) => one.at - other.at);
  for (const answer of inOrder) review(cards, answer);
  return cards;
}

/** Takes one more answer in, later than all before. */
export function review(
  cards: Map<string, Practised>,
  { at, skill, region, isRight }: Answered,
): void {
  if (isRight === null) return;
  const key = keyOf(skill, region);
  const now = new Date(at);
  const was: Card = cards.get(key)?.card ?? createEmptyCard(now);
  const { card } = scheduler.next(was, now, isRight ? Rating.Good : Rating.Again);
  cards.set(key, { skill, region, card });
}

/** Every so many of a round's questions is of any skill, of a region that wasn't met yet where there is one, however much is due. */
const NEW_EVERY = 4;

/** So many other questions lie between two of a skill, where others are due. */
const APART = 3;

/**
 * The skill and the region that come next: of what is due that which is most likely forgotten; each fourth time, and where
 * nothing is due, any skill in a region that wasn't met yet, or where all were, in that which is most likely forgotten.
 * `number` counts the questions of a round from 0, `before` are those that were asked, the latest last: the very last isn't
 * asked again at once, and skills that just came wait where others are due, since what is mixed is kept better than what is
 * massed. Of new regions those that are `preferred` come first. Throws a RangeError where there is nothing to choose from.
 * Source of the mixing: D. Rohrer, "Interleaving helps students distinguish among similar concepts", Educational Psychology
 * Review 24, 2012.
 */
export function nextUp(
  cards: ReadonlyMap<string, Practised>,
  candidates: readonly SkillInRegion[],
  {
    now,
    number,
    before = [],
    preferred,
    random,
  }: {
    now: number;
    number: number;
    before?: readonly SkillInRegion[];
    preferred?: ReadonlySet<string>;
    random: () => number;
  },
): SkillInRegion {
  if (candidates.length === 0) throw new RangeError('nothing to practise');
  const last = before.at(-1);
  const isLast = ({ skill, region }: SkillInRegion) =>
    skill === last?.skill && region === last.region;
  const others = candidates.filter((one) => !isLast(one));
  const all = others.length > 0 ? others : candidates;
  const fresh = all.filter(({ skill, region }) => !cards.has(keyOf(skill, region)));
  const met = all.flatMap(({ skill, region }) => cards.get(keyOf(skill, region)) ?? []);
  const allDue = met.filter(({ card }) => card.due.getTime() <= now);
  const recent = new Set(before.slice(-APART).map(({ skill }) => skill));
  const rested = allDue.filter(({ skill }) => !recent.has(skill));
  const due = rested.length > 0 ? rested : allDue;
  if (due.length === 0 || number % NEW_EVERY === NEW_EVERY - 1) {
    // A skill first: some have a hundred regions, some one.
    const skill = oneOf(random, [...new Set(all.map((one) => one.skill))]);
    const regions = fresh.filter((one) => one.skill === skill);
    const own = regions.filter(({ region }) => preferred?.has(region));
    if (regions.length > 0) return oneOf(random, own.length > 0 ? own : regions);
    return leastKept(
      met.filter((one) => one.skill === skill),
      now,
    );
  }
  return leastKept(due, now);
}

/** What is most likely forgotten. */
function leastKept(cards: readonly Practised[], now: number): SkillInRegion {
  const date = new Date(now);
  const ranked = cards.map((one) => ({
    one,
    kept: scheduler.get_retrievability(one.card, date, false),
  }));
  const { skill, region } = ranked.reduce((least, next) =>
    next.kept < least.kept ? next : least,
  ).one;
  return { skill, region };
}
