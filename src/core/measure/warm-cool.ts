import type { Oklab } from '../colour/oklab';
import { temperature, WARM_AXIS } from '../colour/temperature';
import type { Place } from '../picture/framing';
import type { Border } from './borders';
import type { Masses } from './masses';

/** What the light is, held against the shadow. */
export const VERDICTS = ['warmer', 'cooler', 'alike', 'mixed'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** One side of a pair. */
export interface PairSide extends Place {
  colour: Oklab;
  /** Munsell value. */
  value: number;
}

/** One local colour, in the light and in the shadow. */
export interface TemperaturePair {
  light: PairSide;
  shadow: PairSide;
  /** The two masses, the light first. */
  masses: [number, number];
  /** How much warmer (+) the light is, as a difference of temperatures at one lightness: `leanBetween`. */
  lean: number;
  /** What it counts in the vote, 0–1: more the larger its smaller mass, the likelier one colour, and the more others agree. */
  weight: number;
}

export interface WarmCoolReading {
  /** Null where no mass touches another that could be its shadow. */
  verdict: Verdict | null;
  /** Of all that votes, the parts that find the light warmer, cooler and alike; together 1, or all 0. */
  votes: { warmer: number; cooler: number; alike: number };
  /** By how much the pairs lean that find so, on average; null where the light is neither warmer nor cooler. */
  by: number | null;
  /** Those that speak most for the verdict, the first the most. */
  pairs: TemperaturePair[];
}

/** The lightness that colours are brought to before they are compared: the middle of the scale. */
const REFERENCE = 0.7;
/** So many Munsell steps apart, a lighter and a darker mass may be light and shadow; from `FULL_STEP` on they are likely to be. */
const MIN_STEP = 0.6;
const FULL_STEP = 2;
/** Darker than this a mass has too little colour left in eight bits. */
const MIN_VALUE = 1;
/** How far one local colour may be moved by light across the warm–cool axis, and along it: a, b at the reference lightness. */
const ACROSS = 0.03;
const ALONG = 0.08;
/** Two plainly coloured masses are one local colour only while their hues are within this: degrees. */
const MAX_TURN = 60;
const COLOURED = 0.02;
/** Pairs agree when light moves them alike, within about this in a, b. */
const AGREEMENT = 0.02;
/** What a pair counts as its own witness. */
const OWN = 0.3;
/** From this lean on a pair votes in full for warmer or cooler; below, in part for alike. */
const FULL_LEAN = 0.3;
/** Under this part of the votes for either side, light and shadow are alike. */
const MIN_DECIDED = 0.3;
/** From this part of the decided votes on, one side has it. */
const MAJORITY = 0.6;
/** Pairs of less weight are hardly one colour. */
const MIN_WEIGHT = 1e-6;
const MAX_PAIRS = 8;

/** a and b that a colour would have at the reference lightness under the same light: both grow with L. */
function relative({ L, a, b }: Oklab): [number, number] {
  const scale = REFERENCE / Math.max(0.05, L);
  return [a * scale, b * scale];
}

/**
 * How much warmer (+) or cooler (−) one colour is than another, both brought to one lightness, so that
 * the dark one does not count as neutral for being dark; in units of `temperature`. OKLab is a cube root
 * of light: what dims a colour scales L, a and b alike.
 */
export function leanBetween(light: Oklab, shadow: Oklab): number {
  const [a, b] = relative(light);
  const [c, d] = relative(shadow);
  return temperature({ a: a - c, b: b - d });
}

/** How likely two colours are one local colour under two lights, 0–1. */
export function localColourLikeness(light: Oklab, shadow: Oklab): number {
  const one = relative(light);
  const other = relative(shadow);
  if (Math.min(Math.hypot(...one), Math.hypot(...other)) > COLOURED) {
    const cross = one[0] * other[1] - one[1] * other[0];
    const dot = one[0] * other[0] + one[1] * other[1];
    if ((Math.abs(Math.atan2(cross, dot)) * 180) / Math.PI > MAX_TURN) return 0;
  }
  const [a, b] = [one[0] - other[0], one[1] - other[1]];
  const along = a * WARM_AXIS[0] + b * WARM_AXIS[1];
  const across = b * WARM_AXIS[0] - a * WARM_AXIS[1];
  return Math.exp(-((across / ACROSS) ** 2) - (along / ALONG) ** 2);
}

/** How far light moves a pair: a, b at the reference lightness. */
function shiftOf({ light, shadow }: Pick<TemperaturePair, 'light' | 'shadow'>): [number, number] {
  const [a, b] = relative(light.colour);
  const [c, d] = relative(shadow.colour);
  return [a - c, b - d];
}

/**
 * Whether the light is warmer or cooler than the shadow, read on pairs: masses that touch, one plainly
 * lighter than the other, that could be one local colour in two lights. A mean of all light against one
 * of all shadow would compare a blue coat with a brown wall. Pairs vote by their area and by how many
 * others light moves alike: a change of light is the same for all that it falls on, two materials that
 * happen to touch differ each in its own way. Where both sides have many, the light is mixed.
 */
export function readWarmCool({ masses }: Masses, borders: readonly Border[]): WarmCoolReading {
  const found = borders
    .flatMap(({ one, other }): TemperaturePair[] => {
      const order: [number, number] =
        masses[one].value >= masses[other].value ? [one, other] : [other, one];
      const [light, shadow] = order.map((i) => masses[i]);
      const step = light.value - shadow.value;
      if (step < MIN_STEP || shadow.value < MIN_VALUE) return [];
      return [
        {
          light: { ...light.place, colour: light.colour, value: light.value },
          shadow: { ...shadow.place, colour: shadow.colour, value: shadow.value },
          masses: order,
          lean: leanBetween(light.colour, shadow.colour),
          weight:
            Math.min(light.share, shadow.share) *
            Math.min(1, step / FULL_STEP) *
            localColourLikeness(light.colour, shadow.colour),
        },
      ];
    })
    .filter(({ weight }) => weight > MIN_WEIGHT);
  const all = agreed(found);
  const { verdict, votes } = verdictOf(all);
  const voteOf = ({ lean, weight }: TemperaturePair) => {
    const decided = Math.min(1, Math.abs(lean) / FULL_LEAN);
    if (verdict === 'alike') return weight * (1 - decided);
    const isOnSide = verdict === 'mixed' || lean > 0 === (verdict === 'warmer');
    return isOnSide ? weight * decided : 0;
  };
  const pairs = all
    .filter((pair) => voteOf(pair) > 0)
    .sort((one, other) => voteOf(other) - voteOf(one));
  const weight = pairs.reduce((sum, pair) => sum + pair.weight, 0);
  const isOneSided = verdict === 'warmer' || verdict === 'cooler';
  return {
    verdict,
    votes,
    by: isOneSided
      ? pairs.reduce((sum, pair) => sum + pair.weight * Math.abs(pair.lean), 0) / weight
      : null,
    pairs: pairs.slice(0, MAX_PAIRS),
  };
}

/** Pairs weighed by how much of all weight agrees with them, squared. */
function agreed(pairs: readonly TemperaturePair[]): TemperaturePair[] {
  const shifts = pairs.map(shiftOf);
  const all = pairs.reduce((sum, { weight }) => sum + weight, 0);
  return pairs.map((pair, i) => {
    let agrees = 0;
    pairs.forEach(({ weight }, j) => {
      const away = (shifts[i][0] - shifts[j][0]) ** 2 + (shifts[i][1] - shifts[j][1]) ** 2;
      agrees += (i === j ? OWN : 1) * weight * Math.exp(-away / AGREEMENT ** 2);
    });
    return { ...pair, weight: pair.weight * (agrees / all) ** 2 };
  });
}

/** The vote of some pairs. */
export function verdictOf(
  pairs: readonly Pick<TemperaturePair, 'lean' | 'weight'>[],
): Pick<WarmCoolReading, 'verdict' | 'votes'> {
  const votes = { warmer: 0, cooler: 0, alike: 0 };
  for (const { lean, weight } of pairs) {
    const decided = Math.min(1, Math.abs(lean) / FULL_LEAN);
    votes[lean > 0 ? 'warmer' : 'cooler'] += weight * decided;
    votes.alike += weight * (1 - decided);
  }
  const all = votes.warmer + votes.cooler + votes.alike;
  if (all === 0) return { verdict: null, votes };
  for (const side of ['warmer', 'cooler', 'alike'] as const) votes[side] /= all;
  const decided = votes.warmer + votes.cooler;
  if (decided < MIN_DECIDED) return { verdict: 'alike', votes };
  if (votes.warmer >= MAJORITY * decided) return { verdict: 'warmer', votes };
  return { verdict: votes.cooler >= MAJORITY * decided ? 'cooler' : 'mixed', votes };
}
