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

/** Every so many of a round's questions is of a region that wasn't met yet, however much is due. */
const NEW_EVERY = 4;

/**
 * The skill and the region that come next: of what is due that which is most likely forgotten; each fourth time, and where
 * nothing is due, one that wasn't met yet, of any skill; where all were met, what is due soonest. `number` counts the
 * questions of a round from 0; `last` isn't asked again at once; of new regions those that are `preferred` come
 * first. Throws a RangeError where there is nothing to choose from.
 */
export function nextUp(
  cards: ReadonlyMap<string, Practised>,
  candidates: readonly SkillInRegion[],
  {
    now,
    number,
    last,
    preferred,
    random,
  }: {
    now: number;
    number: number;
    last?: SkillInRegion;
    preferred?: ReadonlySet<string>;
    random: () => number;
  },
): SkillInRegion {
  if (candidates.length === 0) throw new RangeError('nothing to practise');
  const isLast = ({ skill, region }: SkillInRegion) =>
    skill === last?.skill && region === last.region;
  const others = candidates.filter((one) => !isLast(one));
  const all = others.length > 0 ? others : candidates;
  const fresh = all.filter(({ skill, region }) => !cards.has(keyOf(skill, region)));
  const met = all.flatMap(({ skill, region }) => cards.get(keyOf(skill, region)) ?? []);
  const due = met.filter(({ card }) => card.due.getTime() <= now);
  if (fresh.length > 0 && (due.length === 0 || number % NEW_EVERY === NEW_EVERY - 1)) {
    // A skill first: some have a hundred regions, some one.
    const skill = oneOf(random, [...new Set(fresh.map((one) => one.skill))]);
    const regions = fresh.filter((one) => one.skill === skill);
    const own = regions.filter(({ region }) => preferred?.has(region));
    return oneOf(random, own.length > 0 ? own : regions);
  }
  const date = new Date(now);
  const rank = ({ card }: Practised) =>
    due.length > 0 ? scheduler.get_retrievability(card, date, false) : card.due.getTime();
  const [{ skill, region }] = [...(due.length > 0 ? due : met)].sort(
    (one, other) => rank(one) - rank(other),
  );
  return { skill, region };
}
