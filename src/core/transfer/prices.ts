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
  /** A mass that is a palette's colour already taking another. */
  own: number;
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
/** What it costs a mass to leave a colour that it has; colours farther away than `NEAR` in OKLab are all alike to it. */
const OWN = 3;
const NEAR = 0.07;
const TEMPERATURE = 1.2;
const PARTING = 2.2;
/** Masses nearer than this in OKLab could not be told apart anyway. */
const TOLD_APART = 0.05;
const SIZE = 0.8;
/** How much more that counts for each unit of OKLCH chroma. */
const SHOUTS = 14;
const LAYOUT = 1.4;
const PROMINENCE = 0.5;
/** What each mass pays for each colour, and each pair of masses that meet for taking one colour: made once. */
export interface Prices {
  own: Float64Array[];
  together: { one: number; other: number; price: number }[];
  beside: number[][];
}

/** Prices of a problem; `assignment` adds them up. */
export function pricesOf({
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
        (weights.own *
          OWN *
          (1 - Math.exp(-((oklabDistance(colours[c].colour, mass.colour) / NEAR) ** 2))) +
          weights.value * STEP * step +
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

/** What an assignment costs. */
export function costOf(of: readonly number[], { own, together }: Prices): number {
  let cost = 0;
  for (let mass = 0; mass < of.length; mass++) cost += own[mass][of[mass]];
  for (const { one, other, price } of together) if (of[one] === of[other]) cost += price;
  return cost;
}

/** What a mass pays with a colour, as the others are. */
export function priceAt(
  mass: number,
  colour: number,
  of: readonly number[],
  prices: Prices,
): number {
  let price = prices.own[mass][colour];
  for (const i of prices.beside[mass]) {
    const { one, other, price: more } = prices.together[i];
    if (of[one === mass ? other : one] === colour) price += more;
  }
  return price;
}
