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
/** So many tones are tried as the place of a new centre. */
const MAX_CANDIDATES = 48;
const ROUNDS = 8;
/** So many times a centre that is hardly missed is tried where one is missed most. */
const MAX_SWAPS = 2;

/** Where a new centre would do most, and by how much it would bring the mean down. */
interface Offer {
  tone: number;
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

/** By how much a centre on a DIN99d colour would bring the mean down, all others staying where they are. */
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
  tones: Samples,
  tried: readonly number[],
  difference: Float64Array,
): Offer | null {
  let best: Offer | null = null;
  for (const tone of tried) {
    const [L, a, b] = tones.din.subarray(tone * 3, tone * 3 + 3);
    const gain = gainOf(tones, difference, L, a, b);
    if (gain > (best?.gain ?? 0)) best = { tone, gain };
  }
  return best;
}

/** With one more centre, an accent where one is due; null where no tone would be any nearer. */
function withOneMore(
  tones: Samples,
  tried: readonly number[],
  was: Clustering,
  { accents, cost }: AccentPolicy,
): Clustering | null {
  const offer = bestOffer(tones, tried, was.owners.difference);
  if (!offer) return null;
  const { difference, mean } = was.owners;
  const count = was.centres.count + 1;
  const accent = accents.find((one) => !isKept(one, was.centres));
  if (accent) {
    const held = withFixedCentre(was.centres, accent.colour);
    const [L, a, b] = held.din.subarray(was.centres.fixed * 3);
    if (offer.gain - gainOf(tones, difference, L, a, b) <= cost(count) * mean)
      return refine(tones, held, ROUNDS);
  }
  return refine(tones, withCentre(was.centres, labAt(tones.lab, offer.tone)), ROUNDS);
}

/** A centre this near to an accent, in OKLab, keeps it. */
const KEEPS = 0.04;

function isKept({ colour }: Accent, { lab, count }: Centres): boolean {
  for (let c = 0; c < count; c++)
    if (oklabDistance(oklabFromLab(labAt(lab, c)), colour) < KEEPS) return true;
  return false;
}

/** With one more centre that never moves, after those that are held already. */
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

/** Takes the centre that is missed least to where one is missed most, as long as that helps. */
function swapCentres(tones: Samples, tried: readonly number[], start: Clustering): Clustering {
  let best = start;
  for (let swap = 0; swap < MAX_SWAPS; swap++) {
    const losses = lossesOf(tones, best);
    let least = -1;
    for (let c = best.centres.fixed; c < best.centres.count; c++)
      if (least < 0 || losses[c] < losses[least]) least = c;
    const offer = bestOffer(tones, tried, best.owners.difference);
    if (least < 0 || !offer || offer.gain < losses[least]) return best;
    const next = copyCentres(best.centres);
    const { L, a, b } = labAt(tones.lab, offer.tone);
    placeCentre(next, least, L, a, b);
    const settled = refine(tones, next, ROUNDS);
    if (settled.owners.mean >= best.owners.mean) return best;
    best = settled;
  }
  return best;
}

/** How much the mean would rise without each centre, its tones going to their second nearest. */
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
 * Grows a palette one colour at a time, from those that are held, so that each is what the one before
 * was and one colour more: K + 1 colours are never further from the picture than K, and the same
 * colours give the same palette.
 * Yields the palette at each count, the first being the held colours and as many more as make one.
 * After the global k-means of A. Likas, N. Vlassis, J. J. Verbeek, "The global k-means clustering
 * algorithm", Pattern Recognition 36(2), 2003, with swaps, and with CIEDE2000 in place of squares.
 */
export function* growPalette(
  tones: Samples,
  keep: readonly Oklab[],
  most: number,
  holding: AccentPolicy,
): Generator<Clustering, void> {
  const tried = spreadSamples(tones);
  let now: Clustering = refine(tones, firstCentres(tones, keep, most), ROUNDS);
  yield now;
  while (now.centres.count < most) {
    const next = withOneMore(tones, tried, now, holding);
    if (!next) return;
    now = swapCentres(tones, tried, next);
    yield now;
  }
}

/** The held colours, or the mean of all where none are. */
function firstCentres(tones: Samples, keep: readonly Oklab[], most: number): Centres {
  const centres = centresOf(keep, Math.max(most, keep.length, 1));
  if (keep.length > 0) return centres;
  const mean = [0, 1, 2].map((c) =>
    tones.weight.reduce((sum, weight, k) => sum + weight * tones.lab[k * 3 + c], 0),
  );
  placeCentre(centres, 0, mean[0], mean[1], mean[2]);
  return { ...centres, count: 1 };
}
