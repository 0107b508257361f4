import type { Oklab } from '../colour/oklab';
import { PAINTERS_WHEEL } from '../colour/wheel';
import { isQuestionSeen, isSeen, skillsFor } from './eyes';
import { DRILL_KINDS, questionOf } from './kinds';
import { colourAt, oneOf } from './making';
import type { Eyes, Making, Question, Skill } from './question';
import { allRegions, boundsOf, regionKey, regionOf, type ColourRegion } from './region';
import { nextUp, review, type Answered, type Practised, type SkillInRegion } from './schedule';
import { START, stepped, type Staircase } from './staircase';

/** Where a skill is practised that is of no one colour. */
const EVERYWHERE = 'everywhere';

/** The regions that a skill asks about. */
const ASKS_ABOUT: Record<Skill, 'all' | 'coloured' | 'greys' | typeof EVERYWHERE> = {
  family: 'coloured',
  value: 'all',
  intensity: 'all',
  temperature: 'coloured',
  lean: 'greys',
  match: 'coloured',
  order: EVERYWHERE,
  contrast: 'coloured',
  light: 'coloured',
  whole: EVERYWHERE,
  hidden: EVERYWHERE,
  mixing: EVERYWHERE,
};

/** An answer to a question of a kind; of none where it was missed elsewhere. */
export interface RoundAnswer extends Answered {
  kind: string | null;
}

/** What all answers so far say of what comes next. */
export interface Standing {
  cards: Map<string, Practised>;
  /** By kind. */
  staircases: Map<string, Staircase>;
}

export function standingOf(answers: readonly RoundAnswer[]): Standing {
  const standing: Standing = { cards: new Map(), staircases: new Map() };
  const inOrder = [...answers].sort((one, other) => one.at - other.at);
  for (const answer of inOrder) takeAnswer(standing, answer);
  return standing;
}

/** Takes one more answer in, later than all before. */
export function takeAnswer({ cards, staircases }: Standing, answer: RoundAnswer): void {
  const { kind, isRight } = answer;
  review(cards, answer);
  if (isRight !== null && kind !== null)
    staircases.set(kind, stepped(staircases.get(kind) ?? START, isRight));
}

/** The region that an answer about a colour is remembered under. */
export const practisedRegion = (skill: Skill, about: Oklab): string =>
  ASKS_ABOUT[skill] === EVERYWHERE ? EVERYWHERE : regionKey(regionOf(about));

function regionsOf(skill: Skill, eyes: Eyes): string[] {
  const of = ASKS_ABOUT[skill];
  if (of === EVERYWHERE) return [EVERYWHERE];
  return allRegions()
    .filter(({ family }) => of === 'all' || (family === null) === (of === 'greys'))
    .filter((region) => isRegionSeen(region, eyes))
    .map(regionKey);
}

/** Whether the middle of a family is seen as others see it. */
function isRegionSeen(region: ColourRegion, eyes: Eyes): boolean {
  if (eyes === 'all hues' || region.family === null) return true;
  const [from, to] = boundsOf(region).position;
  return isSeen(colourAt(PAINTERS_WHEEL, (from + to) / 2, 5, 0.1), eyes);
}

/** So many regions of a skill are tried for a question that asks about just what comes next. */
const TRIES = 8;
const SEEDS = 2 ** 31;

/**
 * The next question of a round: of the skill and the region that are due, as hard as its kind stands. Where no question of a
 * region can be made, as of the family of a vivid shadow, other regions of that skill are tried, and then any colour will do:
 * a skill isn't dropped because one's own colours don't suit it. Only where nothing of a skill can be asked another comes.
 * Regions that one's own colours lie in come before others. `before` are those of this round. Nothing is asked that the eyes it is made for don't see.
 * Null where no question can be made at all.
 */
export function nextQuestion(
  { cards, staircases }: Standing,
  making: Omit<Making, 'random' | 'difficulty' | 'region'>,
  {
    skills,
    now,
    number,
    before,
    random,
  }: {
    skills: readonly Skill[];
    now: number;
    number: number;
    before?: readonly SkillInRegion[];
    random: () => number;
  },
): Question | null {
  const { eyes = 'all hues' } = making;
  let candidates = skillsFor(skills, eyes).flatMap((skill) =>
    regionsOf(skill, eyes).map((region) => ({ skill, region })),
  );
  const preferred = new Set(making.colours.map((colour) => regionKey(regionOf(colour))));
  while (candidates.length > 0) {
    const first = nextUp(cards, candidates, { now, number, before, preferred, random });
    const { skill } = first;
    const kinds = DRILL_KINDS.filter((one) => one.skill === skill).flatMap((kind) =>
      Array.from({ length: kind.weight ?? 1 }, () => kind),
    );
    let regions = candidates.filter((one) => one.skill === skill);
    let next: SkillInRegion = first;
    let another: Question | null = null;
    for (let i = 0; i < TRIES; i++) {
      const kind = oneOf(random, kinds);
      const { difficulty } = staircases.get(kind.id) ?? START;
      const region = regionOfKey(next.region);
      const seed = Math.floor(random() * SEEDS);
      const made = questionOf(kind, seed, { ...making, difficulty, ...(region && { region }) });
      const question = made && isQuestionSeen(made, eyes) ? made : null;
      const isThere = question && practisedRegion(skill, question.about) === next.region;
      if (question && (isThere || kind.ignoresRegion)) return question;
      another ??= question;
      regions = regions.filter((one) => one.region !== next.region);
      if (regions.length === 0) break;
      next = nextUp(cards, regions, { now, number, before, preferred, random });
    }
    if (another) return another;
    candidates = candidates.filter((one) => one.skill !== skill);
  }
  return null;
}

const regionOfKey = (key: string): ColourRegion | undefined =>
  allRegions().find((region) => regionKey(region) === key);
