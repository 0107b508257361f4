import type { Picture } from '../picture/picture';
import { squint } from '../picture/squint';
import { valueImageOf } from '../picture/value-map';
import { explainedBy } from './thresholds';
import { MIN_ZONES, MAX_ZONES, zoneEdges, zonesOf, type Zone, type ZoneCut } from './zones';

export type Key = 'low' | 'middle' | 'high';
export type ValueRange = 'short' | 'medium' | 'full';

/** What a value reading is made with. */
export interface ValueSettings extends Omit<ZoneCut, 'zones'> {
  /** How many zones, 2–9; or as many as carry the picture. */
  zones: number | 'carried';
  /** The squint that zones are read through, a share of the diagonal (0–0.05). */
  squint: number;
}

/** The share of the variance that the fewest values which carry a picture explain. */
const CARRIES = 0.95;

/** The reading of a picture's values. Munsell values, 0–10; shares 0–1; zones from dark to light. */
export interface ValueReading {
  /** Of the picture as it is. */
  median: number;
  p5: number;
  p95: number;
  key: Key;
  range: ValueRange;
  /** The least number of natural zones that explain 95 % of the variance of the squinted picture's value; 1 for a flat one. */
  carriedBy: number;
  /** How much of that variance 1, 2 … 9 natural zones explain. */
  curve: number[];
  /** Of the squinted picture. */
  zones: Zone[];
}

/** The fewest zones of a curve that carry a picture; all of them where none do. */
export function carriedBy(curve: readonly number[]): number {
  const found = curve.findIndex((explained) => explained >= CARRIES);
  return found < 0 ? curve.length : found + 1;
}

/** Low under a median of 4, middle to 6.5, high above. */
export function keyOf(median: number): Key {
  return median < 4 ? 'low' : median <= 6.5 ? 'middle' : 'high';
}

/** Short under a spread of 3 between the 5th and 95th percentile, medium under 6, full above. */
export function rangeOf(p5: number, p95: number): ValueRange {
  const spread = p95 - p5;
  return spread < 3 ? 'short' : spread < 6 ? 'medium' : 'full';
}

/** The value at a quantile (0–1) of a histogram, linear within its bin. NaN for an empty one. */
export function quantile(counts: ArrayLike<number>, q: number): number {
  const total = sum(counts);
  if (total === 0) return NaN;
  const wanted = q * total;
  let before = 0;
  for (let bin = 0; bin < counts.length; bin++) {
    if (counts[bin] > 0 && before + counts[bin] >= wanted)
      return ((bin + (wanted - before) / counts[bin]) / counts.length) * 10;
    before += counts[bin];
  }
  return 10;
}

/**
 * The value reading of a picture. Throws a RangeError when the picture has no opaque pixel, the
 * number of zones is not 2–9 or the squint not 0–0.05.
 */
export function readValues(picture: Picture, settings: ValueSettings): ValueReading {
  const plain = valueImageOf(picture);
  const squinted = squint(picture, settings.squint);
  const through = squinted === picture ? plain : valueImageOf(squinted);
  return readCounts(plain.counts, through.counts, settings);
}

/** `readValues` from the histograms (`VALUE_BINS` bins) of a picture as it is and squinted at. */
export function readCounts(
  counts: ArrayLike<number>,
  squinted: ArrayLike<number>,
  settings: Omit<ValueSettings, 'squint'>,
): ValueReading {
  if (sum(counts) === 0) throw new RangeError('nothing to read: every pixel is transparent');
  const median = quantile(counts, 0.5);
  const p5 = quantile(counts, 0.05);
  const p95 = quantile(counts, 0.95);
  const curve = explainedBy(squinted, MAX_ZONES);
  const carried = carriedBy(curve);
  const zones = settings.zones === 'carried' ? Math.max(MIN_ZONES, carried) : settings.zones;
  return {
    median,
    p5,
    p95,
    key: keyOf(median),
    range: rangeOf(p5, p95),
    carriedBy: carried,
    curve,
    zones: zonesOf(squinted, zoneEdges(squinted, { ...settings, zones })),
  };
}

function sum(counts: ArrayLike<number>): number {
  let total = 0;
  for (let i = 0; i < counts.length; i++) total += counts[i];
  return total;
}
