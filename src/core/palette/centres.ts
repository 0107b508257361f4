import { ciede2000Of } from '../colour/ciede2000';
import { labFromOklab, linearFromLab } from '../colour/cielab';
import { writeDin99d } from '../colour/din99d';
import { linearFromOklab, type Oklab } from '../colour/oklab';
import { labAt, type Samples } from './samples';

/** The colours of a palette in the making; the first `held` of them never move. */
export interface Centres {
  /** Three floats a centre. */
  lab: Float64Array;
  din: Float64Array;
  count: number;
  fixed: number;
}

/** For each sample its nearest centre and their difference, and the mean of all differences. */
export interface Owners {
  owner: Uint8Array;
  /** CIEDE2000 to the owner. */
  difference: Float64Array;
  /** The mean of it by weight: what a palette is searched to make small. */
  mean: number;
}

/** DIN99d tells the nearest of several apart to about a tenth; what is this near after it is measured. */
const NEARLY = 1.45 ** 2;
const scratch = new Float64Array(64);

export function centresOf(colours: readonly Oklab[], room: number): Centres {
  const centres: Centres = {
    lab: new Float64Array(room * 3),
    din: new Float64Array(room * 3),
    count: 0,
    fixed: colours.length,
  };
  for (const colour of colours) {
    const { L, a, b } = labFromOklab(colour);
    const { r, g, b: blue } = linearFromOklab(colour);
    centres.lab.set([L, a, b], centres.count * 3);
    writeDin99d(r, g, blue, centres.din, centres.count * 3);
    centres.count++;
  }
  return centres;
}

export function copyCentres(centres: Centres): Centres {
  return { ...centres, lab: centres.lab.slice(), din: centres.din.slice() };
}

/** Puts a centre on a CIELAB colour. */
export function placeCentre(centres: Centres, at: number, L: number, a: number, b: number): void {
  centres.lab[at * 3] = L;
  centres.lab[at * 3 + 1] = a;
  centres.lab[at * 3 + 2] = b;
  const { r, g, b: blue } = linearFromLab(labAt(centres.lab, at));
  writeDin99d(r, g, blue, centres.din, at * 3);
}

/** For each sample its nearest centre by CIEDE2000, among those that DIN99d says are near. */
export function assign(
  { weight, lab, din }: Samples,
  { lab: centreLab, din: centreDin, count }: Centres,
): Owners {
  const n = weight.length;
  const owner = new Uint8Array(n);
  const difference = new Float64Array(n);
  let mean = 0;
  for (let k = 0, at = 0; k < n; k++, at += 3) {
    let nearest = Infinity;
    for (let c = 0, to = 0; c < count; c++, to += 3) {
      const L = din[at] - centreDin[to];
      const a = din[at + 1] - centreDin[to + 1];
      const b = din[at + 2] - centreDin[to + 2];
      const away = L * L + a * a + b * b;
      scratch[c] = away;
      if (away < nearest) nearest = away;
    }
    const limit = nearest * NEARLY + 1e-9;
    let least = Infinity;
    for (let c = 0; c < count; c++) {
      if (scratch[c] > limit) continue;
      const to = c * 3;
      const measured = ciede2000Of(
        lab[at],
        lab[at + 1],
        lab[at + 2],
        centreLab[to],
        centreLab[to + 1],
        centreLab[to + 2],
      );
      if (measured < least) {
        least = measured;
        owner[k] = c;
      }
    }
    difference[k] = least;
    mean += weight[k] * least;
  }
  return { owner, difference, mean };
}

/** Nearer than this, in CIEDE2000, a sample pulls no harder. */
const SOFT = 0.4;

/**
 * Moves each free centre to where the differences of its samples add to less: a step of Weiszfeld's
 * for the geometric median, each sample weighed by how CIEDE2000 stretches CIELAB around it.
 * Source: E. Weiszfeld, "Sur le point pour lequel la somme des distances de n points donnés est
 * minimum", Tôhoku Mathematical Journal 43, 1937.
 */
export function weiszfeldStep(
  { weight, lab }: Samples,
  { owner, difference }: Owners,
  centres: Centres,
): Centres {
  const next = copyCentres(centres);
  const sums = new Float64Array(centres.count * 4);
  for (let k = 0, at = 0; k < owner.length; k++, at += 3) {
    const c = owner[k];
    if (c < centres.fixed) continue;
    const L = lab[at] - centres.lab[c * 3];
    const a = lab[at + 1] - centres.lab[c * 3 + 1];
    const b = lab[at + 2] - centres.lab[c * 3 + 2];
    const squared = L * L + a * a + b * b;
    const stretch = squared < 1e-9 ? 1 : (difference[k] * difference[k]) / squared;
    const pull = (weight[k] * stretch) / Math.max(SOFT, difference[k]);
    const to = c * 4;
    sums[to] += pull;
    sums[to + 1] += pull * lab[at];
    sums[to + 2] += pull * lab[at + 1];
    sums[to + 3] += pull * lab[at + 2];
  }
  for (let c = centres.fixed; c < centres.count; c++) {
    const pull = sums[c * 4];
    if (pull > 0)
      placeCentre(next, c, sums[c * 4 + 1] / pull, sums[c * 4 + 2] / pull, sums[c * 4 + 3] / pull);
  }
  return next;
}

export interface Clustering {
  centres: Centres;
  owners: Owners;
}

/** Moves and assigns by turns while that brings the mean down by more than a trifle. */
export function refine(samples: Samples, start: Centres, rounds: number): Clustering {
  let best: Clustering = { centres: start, owners: assign(samples, start) };
  for (let round = 0; round < rounds; round++) {
    const centres = weiszfeldStep(samples, best.owners, best.centres);
    const owners = assign(samples, centres);
    if (owners.mean >= best.owners.mean) break;
    const gain = best.owners.mean - owners.mean;
    best = { centres, owners };
    if (gain < TRIFLE * owners.mean) break;
  }
  return best;
}

const TRIFLE = 1e-3;
