import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import type { Place } from '../picture/framing';
import type { Border } from './borders';
import type { Mass, Masses } from './masses';

/** How far two colours part. */
export interface Separation {
  /** Munsell steps between their values, from 0. */
  steps: number;
  /** CIEDE2000 between them. */
  difference: number;
  /** The same between their greys: what is left in black and white. */
  inGrey: number;
  /** How far they are apart in hue and chroma alone: OKLab a, b. */
  colour: number;
}

/** Reads how far two colours part, in value, as a whole, and in grey. */
export function separationOf(one: Oklab, other: Oklab): Separation {
  const grey = ({ L }: Oklab): Oklab => ({ L, a: 0, b: 0 });
  return {
    steps: Math.abs(valueOfOklab(one) - valueOfOklab(other)),
    difference: ciede2000(labFromOklab(one), labFromOklab(other)),
    inGrey: ciede2000(labFromOklab(grey(one)), labFromOklab(grey(other))),
    colour: Math.hypot(one.a - other.a, one.b - other.b),
  };
}

/** Two neighbouring masses that merge in value although their colours differ. */
export interface Merging {
  one: Mass;
  other: Mass;
  /** Their numbers among the masses. */
  pair: [number, number];
  steps: number;
  colour: number;
  /** The middle of their border, in fractions of the picture. */
  place: Place;
}

/** From this distance in OKLab a, b two colours are plainly different. */
const OTHER_COLOUR = 0.045;
/** Borders shorter than this share of all border are no meeting to speak of. */
const MIN_BORDER = 0.004;

/**
 * Neighbouring masses whose values part by less than `half` (half a step of the person's scale, in
 * Munsell steps) although their colours differ, those with most at stake first: the share of the
 * smaller times the difference of colour.
 */
export function mergingMasses(
  { masses }: Masses,
  borders: readonly Border[],
  half: number,
): Merging[] {
  const stake = ({ one, other, colour }: Merging) => Math.min(one.share, other.share) * colour;
  return borders
    .filter(({ length }) => length >= MIN_BORDER)
    .map(({ one, other, place }): Merging => {
      const [a, b] = [masses[one], masses[other]];
      return {
        one: a,
        other: b,
        pair: [one, other],
        steps: Math.abs(a.value - b.value),
        colour: Math.hypot(a.colour.a - b.colour.a, a.colour.b - b.colour.b),
        place,
      };
    })
    .filter(({ steps, colour }) => steps < half && colour >= OTHER_COLOUR)
    .sort((one, other) => stake(other) - stake(one));
}
