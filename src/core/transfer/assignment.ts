import { oklabDistance, oklchFromOklab, type Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import type { Meeting, SubjectMass } from './subject';

/** A colour that masses can take, and what is known of where it comes from. */
export interface OfferedColour {
  colour: Oklab;
  /** Of the picture it comes from, 0–1; null where that is not known. */
  share: number | null;
  /** Where most of it stands there, in fractions from above; null where that is not known. */
  height: number | null;
}

/** What an assignment is judged by: each at least 0, 1 the usual. */
export interface AssignmentWeights {
  /** A step of value between a mass and its colour. */
  value: number;
  /** Lights that are no warmer than shadows, or the reverse, as the subject has it. */
  temperature: number;
  /** Masses that meet, and could be told apart, taking one colour. */
  parting: number;
  /** A colour that was small on a mass that is large, or the reverse. */
  size: number;
  /** What was above and light going where it is above and light. */
  layout: number;
}

export interface AssignmentProblem {
  masses: readonly SubjectMass[];
  meetings: readonly Meeting[];
  colours: readonly OfferedColour[];
  weights: AssignmentWeights;
  /** For each mass a colour that it has to take, −1 for a free one. */
  locks?: readonly number[];
  /** For each colour how much more of it is wanted than usual: 0 usual, 1 more, −1 less. */
  prominence?: readonly number[];
  /** Assignments that this one is to differ from, and what each mass pays, by its share, for staying as there. */
  away?: { from: readonly (readonly number[])[]; push: number };
}

export interface Assignment {
  /** For each mass the number of its colour. */
  of: number[];
  cost: number;
}

/** How much of a step, a unit of temperature, a lost border and so on each costs, before weights. */
const STEP = 0.35;
const TEMPERATURE = 1.2;
const PARTING = 2.2;
/** Masses nearer than this in OKLab could not be told apart anyway. */
const TOLD_APART = 0.05;
const SIZE = 0.8;
/** How much more that counts for each unit of OKLCH chroma. */
const SHOUTS = 14;
const LAYOUT = 1.4;
const PROMINENCE = 0.5;
const ROUNDS = 40;

/** What each mass pays for each colour, and each pair of masses that meet for taking one colour: made once. */
interface Prices {
  own: Float64Array[];
  together: { one: number; other: number; price: number }[];
  beside: number[][];
}

/**
 * The cheapest assignment of colours to masses that is found: each mass first takes its own cheapest, then single masses
 * change and pairs exchange for as long as that helps, from several starts. The same for the same problem. Throws a
 * RangeError without colours.
 */
export function assignment(problem: AssignmentProblem): Assignment {
  const { masses, colours, locks } = problem;
  if (colours.length === 0) throw new RangeError('An assignment takes at least one colour');
  const prices = pricesOf(problem);
  const free = masses.flatMap((_, mass) => ((locks?.[mass] ?? -1) < 0 ? [mass] : []));
  let best: Assignment | null = null;
  for (const start of startsOf(problem, prices)) {
    const of = start;
    for (let round = 0; round < ROUNDS; round++) {
      const moved = changed(of, free, prices, colours.length) || exchanged(of, free, prices);
      if (!moved) break;
    }
    const cost = costOf(of, prices);
    if (!best || cost < best.cost - 1e-12) best = { of, cost };
  }
  return best!;
}

/** What an assignment costs. */
export function assignmentCost(problem: AssignmentProblem, of: readonly number[]): number {
  return costOf(of, pricesOf(problem));
}

function pricesOf({
  masses,
  meetings,
  colours,
  weights,
  prominence,
  away,
}: AssignmentProblem): Prices {
  const values = colours.map(({ colour }) => valueOfOklab(colour));
  const warmth = colours.map(({ colour }) => temperature(colour));
  const chroma = colours.map(({ colour }) => oklchFromOklab(colour).C);
  const meanWarmth = warmth.reduce((sum, one) => sum + one, 0) / warmth.length;
  const lean = leanOf(masses);
  const own = masses.map((mass, i) =>
    Float64Array.from(colours, ({ share, height }, c) => {
      const step = Math.abs(values[c] - mass.value);
      // What lies in the light leans as the subject's lights do, what lies in shadow against it.
      const wanted = lean * (mass.light - 0.5);
      const turned = -wanted * (warmth[c] - meanWarmth);
      // A strong colour that was small shouts from a large mass; a large one may well be small.
      const larger = share === null ? 0 : Math.log((mass.share + 0.02) / (share + 0.02));
      const size =
        larger > 0 ? larger * (0.3 + SHOUTS * chroma[c]) : larger < 0 ? -0.3 * larger : 0;
      const place = height === null ? 0 : Math.abs(mass.place.y - height) + step / 10;
      return (
        mass.share *
        (weights.value * STEP * step +
          weights.temperature * TEMPERATURE * turned +
          weights.size * SIZE * size +
          weights.layout * LAYOUT * place +
          (away ? away.push * away.from.filter((other) => other[i] === c).length : 0) -
          PROMINENCE * (prominence?.[c] ?? 0))
      );
    }),
  );
  const beside: number[][] = masses.map(() => []);
  const together = meetings.flatMap(({ one, other, length }) => {
    const apart = oklabDistance(masses[one].colour, masses[other].colour);
    if (apart < TOLD_APART) return [];
    const price = weights.parting * PARTING * length * Math.min(1, apart / 0.25);
    return price > 0 ? [{ one, other, price }] : [];
  });
  together.forEach(({ one, other }, i) => {
    beside[one].push(i);
    beside[other].push(i);
  });
  return { own, together, beside };
}

/** Whether the subject's lights are warmer (1) or cooler (−1) than its shadows; what is alike is taken for warm. */
function leanOf(masses: readonly SubjectMass[]): number {
  const mean = (weight: (mass: SubjectMass) => number) => {
    let sum = 0;
    let all = 0;
    for (const mass of masses) {
      sum += weight(mass) * mass.share * temperature(mass.colour);
      all += weight(mass) * mass.share;
    }
    return all > 0 ? sum / all : 0;
  };
  return mean(({ light }) => light) >= mean(({ light }) => 1 - light) - 0.02 ? 1 : -1;
}

function costOf(of: readonly number[], { own, together }: Prices): number {
  let cost = 0;
  for (let mass = 0; mass < of.length; mass++) cost += own[mass][of[mass]];
  for (const { one, other, price } of together) if (of[one] === of[other]) cost += price;
  return cost;
}

/** What a mass pays with a colour, as the others are. */
function priceAt(mass: number, colour: number, of: readonly number[], prices: Prices): number {
  let price = prices.own[mass][colour];
  for (const i of prices.beside[mass]) {
    const { one, other, price: more } = prices.together[i];
    if (of[one === mass ? other : one] === colour) price += more;
  }
  return price;
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

/** Lets two masses exchange colours where that is cheaper; whether any did. */
function exchanged(of: number[], free: readonly number[], prices: Prices): boolean {
  let moved = false;
  for (let i = 0; i < free.length; i++)
    for (let j = i + 1; j < free.length; j++) {
      const [one, other] = [free[i], free[j]];
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
