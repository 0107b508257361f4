import { labFromOklab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { fitWeights } from './fit-weights';
import { weightOf, type Tube } from './tube';

/** A colour to be mixed, and how much it counts. */
export interface Wanted {
  colour: Oklab;
  share: number;
}

/** So many tubes that reach some colours best. */
export interface TubeChoice {
  tubes: Tube[];
  /** How far the colours are missed on average (about CIEDE2000), by their shares. */
  miss: number;
}

/** More tubes than this are chosen from by what they do with the best of them alone. */
export const MAX_CHOSEN_FROM = 24;
const MAX_SET = 3;

/** A set of tubes as bits, and how near its best mixture comes to a colour. */
interface FittedSet {
  bits: number;
  miss: number;
}

/**
 * For each number of tubes up to `most` those that reach some colours best: the one before with the tube that
 * helps most, then exchanges for as long as they help. A mixture is of three tubes at most. Throws a RangeError
 * for more tubes than can be chosen from.
 */
export function whichTubes(
  wanted: readonly Wanted[],
  tubes: readonly Tube[],
  most: number,
): TubeChoice[] {
  if (tubes.length > MAX_CHOSEN_FROM)
    throw new RangeError(`Tubes are chosen from up to ${MAX_CHOSEN_FROM}`);
  const total = wanted.reduce((sum, { share }) => sum + share, 0);
  const sets = wanted.map(({ colour }) => fittedSets(colour, tubes));
  const missOf = (bits: number) =>
    sets.reduce(
      (sum, fitted, i) =>
        sum +
        (wanted[i].share / total) * (fitted.find((set) => (set.bits & ~bits) === 0)?.miss ?? 0),
      0,
    );
  const choices: TubeChoice[] = [];
  let chosen = 0;
  for (let count = 1; count <= Math.min(most, tubes.length); count++) {
    chosen = exchanged(withBestAdded(chosen, tubes.length, missOf), tubes.length, missOf);
    choices.push({
      tubes: tubes.filter((_, i) => chosen & (1 << i)),
      miss: missOf(chosen),
    });
  }
  return choices;
}

/** With the one more that helps most. */
function withBestAdded(chosen: number, count: number, missOf: (bits: number) => number): number {
  let best = chosen;
  let least = Infinity;
  for (let i = 0; i < count; i++) {
    if (chosen & (1 << i)) continue;
    const miss = missOf(chosen | (1 << i));
    if (miss < least) {
      least = miss;
      best = chosen | (1 << i);
    }
  }
  return best;
}

/** With one after another given away for one that helps more, until none does. */
function exchanged(chosen: number, count: number, missOf: (bits: number) => number): number {
  let bits = chosen;
  let least = missOf(bits);
  for (let round = 0; round < count; round++) {
    let better = bits;
    for (let leaving = 0; leaving < count; leaving++)
      for (let entering = 0; entering < count; entering++) {
        if (!(bits & (1 << leaving)) || bits & (1 << entering)) continue;
        const next = (bits & ~(1 << leaving)) | (1 << entering);
        const miss = missOf(next);
        if (miss < least - 1e-9) {
          least = miss;
          better = next;
        }
      }
    if (better === bits) break;
    bits = better;
  }
  return bits;
}

/** Every set of up to three tubes with its best mixture's miss, the nearest before others. */
function fittedSets(colour: Oklab, tubes: readonly Tube[]): FittedSet[] {
  const target = labFromOklab(colour);
  const found: FittedSet[] = [];
  const usual = tubes.map(({ optics }) => 1 / weightOf(optics));
  const add = (which: readonly number[]) => {
    const { miss } = fitWeights(
      which.map((i) => tubes[i].optics),
      target,
      which.map((i) => usual[i]),
    );
    found.push({ bits: which.reduce((bits, i) => bits | (1 << i), 0), miss });
  };
  const extend = (which: readonly number[]) => {
    if (which.length > 0) add(which);
    if (which.length === MAX_SET) return;
    for (let i = (which[which.length - 1] ?? -1) + 1; i < tubes.length; i++) extend([...which, i]);
  };
  extend([]);
  return found.sort((one, other) => one.miss - other.miss);
}
