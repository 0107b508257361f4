import { VALUE_BINS } from '../picture/value-map';
import { naturalEdgesUpTo, rmsWithin } from './thresholds';
import { MAX_ZONES, MIN_ZONES, zonesOf } from './zones';

/** How far zones may stray from the picture, RMS in Munsell steps, and still carry it. */
export const TOLERANCES = { strict: 0.4, usual: 0.6, loose: 0.8 } as const;
export type Tolerance = keyof typeof TOLERANCES;
export const TOLERANCE_NAMES = Object.keys(TOLERANCES) as Tolerance[];

/** How 1, 2 … 9 natural zones tell a picture. */
export interface ZoneFits {
  /** The RMS error that is left, in Munsell steps. */
  curve: number[];
  /** How many of the zones lie in the shadow: their means under the threshold that parts two. */
  inShadow: number[];
}

/** The zones that carry a picture. */
export interface Carried {
  values: number;
  light: number;
  shadow: number;
}

const STEP = 10 / VALUE_BINS;

/**
 * From the histogram (`VALUE_BINS` bins) of the squinted picture's values. A share of the variance would be no
 * measure: of a picture that is dark throughout, zones would have to explain differences that nobody sees.
 */
export function readZoneFits(counts: ArrayLike<number>): ZoneFits {
  const edges = naturalEdgesUpTo(counts, MAX_ZONES);
  const [threshold] = edges[1];
  return {
    curve: edges.map((cut) => rmsWithin(counts, cut) * STEP),
    inShadow: edges.map(
      (cut) => zonesOf(counts, cut).filter(({ mean }) => mean < threshold * STEP).length,
    ),
  };
}

/**
 * The least number of zones, from two on, whose error a tolerance allows, all of them where none do; one for a
 * picture of a single value.
 */
export function carriedBy({ curve, inShadow }: ZoneFits, tolerance: Tolerance = 'usual'): Carried {
  const found = curve.findIndex(
    (error, i) => error === 0 || (i + 1 >= MIN_ZONES && error <= TOLERANCES[tolerance]),
  );
  const values = found < 0 ? curve.length : found + 1;
  const shadow = Math.min(values, inShadow[values - 1]);
  return { values, light: values - shadow, shadow };
}
