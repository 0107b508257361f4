import { toGamut } from '../colour/gamut';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import type { Place } from '../picture/framing';
import type { Mass, Masses } from './masses';

/** What a near-neutral seems to be in its surround: an estimate. */
export interface ReadsAs {
  /** The number of the mass among the masses. */
  mass: number;
  /** Of the picture, 0–1. */
  share: number;
  place: Place;
  colour: Oklab;
  /** The mean of what lies around it. */
  surround: Oklab;
  /** What it seems to be. */
  reads: Oklab;
  /** How far that is from what it is, in OKLab a, b. */
  pushed: number;
}

/** Colours stronger than this are not pushed anywhere that matters. */
const NEAR_NEUTRAL = 0.045;
/** The push of a tiny neutral of the surround's own value, as a part of the difference. */
const MAX_PUSH = 0.4;
/** The share of the picture at which a patch is pushed by a third of that. */
const LARGE = 0.06;
/** The difference of value, in Munsell steps, at which it is. */
const OTHER_VALUE = 2.5;
const MIN_PUSH = 0.004;
/** How wide the surround is, in cells of the masses' grid. */
const RING = 7;

/**
 * An estimate of simultaneous contrast for the near-neutral masses of a picture: each is pushed away
 * from the mean of what lies around it, in a and b and a little in lightness, the more the smaller
 * and the more neutral it is and the nearer in value. Those pushed farthest come first.
 * Source of the kind of effect, not of its numbers: M. E. Chevreul, 1839; N. Moroney et al., "The
 * CIECAM02 color appearance model", CIC 10, 2002, leave its size to the viewing.
 */
export function readsAs(masses: Masses): ReadsAs[] {
  return masses.masses
    .map((mass, index) => pushed(masses, mass, index))
    .filter((read): read is ReadsAs => read !== null && read.pushed >= MIN_PUSH)
    .sort((one, other) => other.pushed - one.pushed);
}

function pushed(masses: Masses, { share, colour, place }: Mass, index: number): ReadsAs | null {
  const chroma = Math.hypot(colour.a, colour.b);
  if (chroma >= NEAR_NEUTRAL) return null;
  const surround = around(masses, index);
  if (!surround) return null;
  const values = (valueOfOklab(colour) - valueOfOklab(surround)) / OTHER_VALUE;
  const push =
    MAX_PUSH *
    Math.exp(-share / LARGE) *
    Math.exp(-values * values) *
    (1 - chroma / NEAR_NEUTRAL / 2);
  const reads = toGamut({
    L: colour.L + (push / 4) * (colour.L - surround.L),
    a: colour.a + push * (colour.a - surround.a),
    b: colour.b + push * (colour.b - surround.b),
  });
  return {
    mass: index,
    share,
    place,
    colour,
    surround,
    reads,
    pushed: Math.hypot(reads.a - colour.a, reads.b - colour.b),
  };
}

/** The mean of the cells of other masses within a ring around a mass; null where there are none. */
function around({ grid, labels }: Masses, mass: number): Oklab | null {
  const { width, height, oklab } = grid;
  const near = new Uint8Array(labels.length);
  let wave: number[] = [];
  labels.forEach((entry, cell) => {
    if (entry !== mass) return;
    near[cell] = 1;
    wave.push(cell);
  });
  let n = 0;
  const sum = [0, 0, 0];
  let next: number[] = [];
  const reach = (beside: number) => {
    if (near[beside] || labels[beside] < 0) return;
    near[beside] = 1;
    next.push(beside);
    n++;
    for (let k = 0; k < 3; k++) sum[k] += oklab[beside * 3 + k];
  };
  for (let step = 0; step < RING; step++) {
    next = [];
    for (const cell of wave) {
      const x = cell % width;
      if (x > 0) reach(cell - 1);
      if (x < width - 1) reach(cell + 1);
      if (cell >= width) reach(cell - width);
      if (cell < width * (height - 1)) reach(cell + width);
    }
    wave = next;
  }
  const [L, a, b] = sum.map((one) => one / n);
  return n === 0 ? null : { L, a, b };
}
