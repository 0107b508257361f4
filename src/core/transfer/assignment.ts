import { oklabDistance, oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { bestOfAll } from './best-of-all';
import {
  costOf,
  priceAt,
  pricesOf,
  type Assignment,
  type AssignmentProblem,
  type Prices,
} from './prices';

const ROUNDS = 40;
/** So many free masses at most are searched in full. */
const MAX_SEARCHED = 14;
/** Masses that don't meet exchange colours among so many of the largest. */
const EXCHANGED = 32;

/**
 * The cheapest assignment of colours to masses that is found: each mass first takes its own cheapest, then single masses
 * change and pairs exchange for as long as that helps, from several starts. Few masses are then searched in full. The same
 * for the same problem. Throws a RangeError without colours.
 */
export function assignment(problem: AssignmentProblem): Assignment {
  const { masses, colours, locks } = problem;
  if (colours.length === 0) throw new RangeError('An assignment takes at least one colour');
  const prices = pricesOf(problem);
  const free = masses.flatMap((_, mass) => ((locks?.[mass] ?? -1) < 0 ? [mass] : []));
  const pairs = pairsOf(problem, free);
  let best: Assignment | null = null;
  for (const start of startsOf(problem, prices)) {
    const of = start;
    for (let round = 0; round < ROUNDS; round++) {
      const moved = changed(of, free, prices, colours.length) || exchanged(of, pairs, prices);
      if (!moved) break;
    }
    const cost = costOf(of, prices);
    if (!best || cost < best.cost - 1e-12) best = { of, cost };
  }
  return free.length <= MAX_SEARCHED ? bestOfAll(best!, free, prices) : best!;
}

/** What an assignment costs. */
export function assignmentCost(problem: AssignmentProblem, of: readonly number[]): number {
  return costOf(of, pricesOf(problem));
}

/** Lets each mass take the colour that is cheapest as the others are; whether any did. */
function changed(of: number[], free: readonly number[], prices: Prices, count: number): boolean {
  let moved = false;
  for (const mass of free) {
    let best = of[mass];
    let least = priceAt(mass, best, of, prices) - 1e-12;
    for (let colour = 0; colour < count; colour++) {
      const price = priceAt(mass, colour, of, prices);
      if (price < least) [least, best] = [price, colour];
    }
    if (best !== of[mass]) {
      of[mass] = best;
      moved = true;
    }
  }
  return moved;
}

/** The pairs of masses that are tried at exchanging: those that meet, and all of the largest. */
function pairsOf(
  { masses, meetings }: AssignmentProblem,
  free: readonly number[],
): [number, number][] {
  const large = [...free].sort((a, b) => masses[b].share - masses[a].share).slice(0, EXCHANGED);
  const isLarge = new Set(large);
  const isFree = new Set(free);
  return [
    ...large.flatMap((one, i) => large.slice(i + 1).map((other): [number, number] => [one, other])),
    ...meetings.flatMap(({ one, other }): [number, number][] =>
      isFree.has(one) && isFree.has(other) && !(isLarge.has(one) && isLarge.has(other))
        ? [[one, other]]
        : [],
    ),
  ];
}

/** Lets two masses exchange colours where that is cheaper; whether any did. */
function exchanged(
  of: number[],
  pairs: readonly (readonly [number, number])[],
  prices: Prices,
): boolean {
  let moved = false;
  for (const [one, other] of pairs) {
    if (of[one] === of[other]) continue;
    const before = pairPrice(one, other, of, prices);
    [of[one], of[other]] = [of[other], of[one]];
    if (pairPrice(one, other, of, prices) < before - 1e-12) moved = true;
    else [of[one], of[other]] = [of[other], of[one]];
  }
  return moved;
}

function pairPrice(one: number, other: number, of: readonly number[], prices: Prices): number {
  let price = priceAt(one, of[one], of, prices) + priceAt(other, of[other], of, prices);
  if (of[one] === of[other])
    for (const i of prices.beside[one]) {
      const meeting = prices.together[i];
      if (meeting.one === other || meeting.other === other) price -= meeting.price;
    }
  return price;
}

/** Each mass its own cheapest; each the nearest in value; each the nearest in colour; the colours in turn by value. */
function startsOf({ masses, colours, locks }: AssignmentProblem, { own }: Prices): number[][] {
  const leastOf = (rate: (mass: number, colour: number) => number) =>
    masses.map((_, mass) => {
      const lock = locks?.[mass] ?? -1;
      if (lock >= 0) return Math.min(lock, colours.length - 1);
      let best = 0;
      for (let c = 1; c < colours.length; c++) if (rate(mass, c) < rate(mass, best)) best = c;
      return best;
    });
  const values = colours.map(({ colour }) => valueOfOklab(colour));
  const chroma = colours.map(({ colour }) => oklchFromOklab(colour).C);
  const byValue = masses.map((_, i) => i).sort((a, b) => masses[a].value - masses[b].value);
  const rank = new Map(byValue.map((mass, i) => [mass, i]));
  const order = colours.map((_, c) => c).sort((a, b) => values[a] - values[b]);
  return [
    leastOf((mass, c) => own[mass][c]),
    leastOf((mass, c) => Math.abs(values[c] - masses[mass].value)),
    leastOf((mass, c) => oklabDistance(colours[c].colour, masses[mass].colour)),
    leastOf((mass, c) => {
      const wanted = order[Math.floor((rank.get(mass)! * colours.length) / masses.length)];
      return c === wanted ? 0 : 1;
    }),
    leastOf(
      (mass, c) => Math.abs(values[c] - masses[mass].value) - 10 * masses[mass].share * chroma[c],
    ),
  ];
}
