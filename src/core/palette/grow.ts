import { oklabFromLab, type Lab } from '../colour/cielab';
import {
  centresOf,
  copyCentres,
  placeCentre,
  refine,
  type Centres,
  type Clustering,
} from './centres';
import { labAt, type Samples } from './samples';
import { oklabDistance, type Oklab } from '../colour/oklab';
import type { Accent } from './accents';

/** CIEDE2000 of two colours a distance of 1 apart in DIN99d, on average over sRGB (0.85 ± 0.1). */
const DIFFERENCE_OF_DIN = 0.85;
/** How many samples are tried as the place of a new centre. */
const MAX_CANDIDATES = 48;
const ROUNDS = 8;
/** How many swaps are tried at each count: see `swapCentres`. */
const MAX_SWAPS = 2;

/** The sample where a new centre lowers the mean difference most, and by how much. */
interface Offer {
  sample: number;
  gain: number;
}

/** Picks, one after another, what weighs most and is farthest from those picked before. */
export function spreadSamples({ weight, din }: Samples, count = MAX_CANDIDATES): number[] {
  const n = weight.length;
  const nearest = new Float64Array(n).fill(40 * 40);
  const picked: number[] = [];
  while (picked.length < Math.min(count, n)) {
    let best = -1;
    let most = 0;
    for (let k = 0; k < n; k++) {
      const worth = weight[k] * nearest[k];
      if (worth > most) {
        most = worth;
        best = k;
      }
    }
    if (best < 0) break;
    picked.push(best);
    for (let k = 0, at = 0; k < n; k++, at += 3) {
      const L = din[at] - din[best * 3];
      const a = din[at + 1] - din[best * 3 + 1];
      const b = din[at + 2] - din[best * 3 + 2];
      const away = L * L + a * a + b * b;
      if (away < nearest[k]) nearest[k] = away;
    }
  }
  return picked;
}

/** By how much a centre at a DIN99d colour would lower the mean difference, all others staying where they are. */
export function gainOf(
  { weight, din }: Samples,
  difference: Float64Array,
  L: number,
  a: number,
  b: number,
): number {
  let gain = 0;
  for (let k = 0, at = 0; k < weight.length; k++, at += 3) {
    const dL = din[at] - L;
    const da = din[at + 1] - a;
    const db = din[at + 2] - b;
    const left = difference[k] - DIFFERENCE_OF_DIN * Math.sqrt(dL * dL + da * da + db * db);
    if (left > 0) gain += weight[k] * left;
  }
  return gain;
}

function bestOffer(
  samples: Samples,
  tried: readonly number[],
  difference: Float64Array,
): Offer | null {
  let best: Offer | null = null;
  for (const sample of tried) {
    const [L, a, b] = samples.din.subarray(sample * 3, sample * 3 + 3);
    const gain = gainOf(samples, difference, L, a, b);
    if (gain > (best?.gain ?? 0)) best = { sample, gain };
  }
  return best;
}

/** With one more centre, an accent where one is due; null where no sample would come nearer to a centre. */
function withOneMore(
  samples: Samples,
  tried: readonly number[],
  was: Clustering,
  { accents, cost }: AccentPolicy,
): Clustering | null {
  const offer = bestOffer(samples, tried, was.owners.difference);
  if (!offer) return null;
  const { difference, mean } = was.owners;
  const count = was.centres.count + 1;
  const accent = accents.find((one) => !isKept(one, was.centres));
  if (accent) {
    const fixed = withFixedCentre(was.centres, accent.colour);
    const [L, a, b] = fixed.din.subarray(was.centres.fixed * 3);
    if (offer.gain - gainOf(samples, difference, L, a, b) <= cost(count) * mean)
      return refine(samples, fixed, ROUNDS);
  }
  return refine(samples, withCentre(was.centres, labAt(samples.lab, offer.sample)), ROUNDS);
}

/** A centre this near to an accent, in OKLab, keeps it. */
const KEEPS = 0.04;

function isKept({ colour }: Accent, { lab, count }: Centres): boolean {
  for (let c = 0; c < count; c++)
    if (oklabDistance(oklabFromLab(labAt(lab, c)), colour) < KEEPS) return true;
  return false;
}

/** With one more centre that never moves, after those that are fixed already. */
function withFixedCentre(centres: Centres, colour: Oklab): Centres {
  const next = copyCentres(centres);
  const from = centres.fixed * 3;
  for (const [to, was] of [
    [next.lab, centres.lab],
    [next.din, centres.din],
  ])
    to.set(was.subarray(from, centres.count * 3), from + 3);
  const one = centresOf([colour], 1);
  next.lab.set(one.lab, from);
  next.din.set(one.din, from);
  return { ...next, count: centres.count + 1, fixed: centres.fixed + 1 };
}

function withCentre(centres: Centres, { L, a, b }: Lab): Centres {
  const next = copyCentres(centres);
  placeCentre(next, next.count++, L, a, b);
  return next;
}

/** Swap rounds: moves the least useful centre to the worst-served region, as long as that lowers the mean. */
function swapCentres(samples: Samples, tried: readonly number[], start: Clustering): Clustering {
  let best = start;
  for (let swap = 0; swap < MAX_SWAPS; swap++) {
    const losses = lossesOf(samples, best);
    let least = -1;
    for (let c = best.centres.fixed; c < best.centres.count; c++)
      if (least < 0 || losses[c] < losses[least]) least = c;
    const offer = bestOffer(samples, tried, best.owners.difference);
    if (least < 0 || !offer || offer.gain < losses[least]) return best;
    const next = copyCentres(best.centres);
    const { L, a, b } = labAt(samples.lab, offer.sample);
    placeCentre(next, least, L, a, b);
    const refined = refine(samples, next, ROUNDS);
    if (refined.owners.mean >= best.owners.mean) return best;
    best = refined;
  }
  return best;
}

/** How much the mean difference would rise without each centre, its samples going to their second nearest. */
function lossesOf({ weight, din }: Samples, { centres, owners }: Clustering): Float64Array {
  const losses = new Float64Array(centres.count);
  for (let k = 0, at = 0; k < weight.length; k++, at += 3) {
    const own = owners.owner[k];
    let second = Infinity;
    for (let c = 0, to = 0; c < centres.count; c++, to += 3) {
      if (c === own) continue;
      const L = din[at] - centres.din[to];
      const a = din[at + 1] - centres.din[to + 1];
      const b = din[at + 2] - centres.din[to + 2];
      second = Math.min(second, L * L + a * a + b * b);
    }
    losses[own] +=
      weight[k] * Math.max(0, DIFFERENCE_OF_DIN * Math.sqrt(second) - owners.difference[k]);
  }
  return losses;
}

/** Accents that get a place of their own, and the share of the mean difference that each may cost at a count. */
export interface AccentPolicy {
  accents: readonly Accent[];
  cost: (count: number) => number;
}

/**
 * Grows a palette one colour at a time, from those that are fixed, so that each contains the one before
 * and one colour more: K + 1 colours are never further from the picture than K, and the same
 * colours give the same palette.
 * Yields the palette at each count, the first with the fixed colours, or with one where there are none.
 * After the global k-means of A. Likas, N. Vlassis, J. J. Verbeek, "The global k-means clustering
 * algorithm", Pattern Recognition 36(2), 2003, with swaps, and with CIEDE2000 in place of squares.
 */
export function* growPalette(
  samples: Samples,
  keep: readonly Oklab[],
  most: number,
  policy: AccentPolicy,
): Generator<Clustering, void> {
  const tried = spreadSamples(samples);
  let now: Clustering = refine(samples, firstCentres(samples, keep, most), ROUNDS);
  yield now;
  while (now.centres.count < most) {
    const next = withOneMore(samples, tried, now, policy);
    if (!next) return;
    now = swapCentres(samples, tried, next);
    yield now;
  }
}

/** The fixed colours, or the mean of all samples where none are. */
function firstCentres(samples: Samples, keep: readonly Oklab[], most: number): Centres {
  const centres = centresOf(keep, Math.max(most, keep.length, 1));
  if (keep.length > 0) return centres;
  const mean = [0, 1, 2].map((c) =>
    samples.weight.reduce((sum, weight, k) => sum + weight * samples.lab[k * 3 + c], 0),
  );
  placeCentre(centres, 0, mean[0], mean[1], mean[2]);
  return { ...centres, count: 1 };
}
