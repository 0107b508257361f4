import { carriedBy, readZoneFits, type ZoneFits } from './carried';
import type { MeasureSources } from './sources';
import { MIN_ZONES, zoneEdges, zonesOf, type Zone, type ZoneCut } from './zones';

export type Key = 'low' | 'middle' | 'high';
export type ValueRange = 'short' | 'medium' | 'full';

/** What a value reading is made with. */
export interface ValueSettings extends Omit<ZoneCut, 'zones'> {
  /** How many zones, 2–9; or as many as carry the picture. */
  zones: number | 'carried';
  /** The squint that zones are read through, a share of the diagonal (0–0.05). */
  squint: number;
}

/** The reading of a picture's values. Munsell values, 0–10; shares 0–1; zones from dark to light. */
export interface ValueReading extends ZoneFits {
  /** Of the picture as it is. */
  median: number;
  p5: number;
  p95: number;
  key: Key;
  range: ValueRange;
  /** How many natural zones carry the squinted picture by the usual tolerance. */
  carriedBy: number;
  /** Of the squinted picture. */
  zones: Zone[];
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
export function readValues(sources: MeasureSources, settings: ValueSettings): ValueReading {
  return readCounts(sources.plain().counts, sources.through(settings.squint).counts, settings);
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
  const fits = readZoneFits(squinted);
  const carried = carriedBy(fits).values;
  const zones = settings.zones === 'carried' ? Math.max(MIN_ZONES, carried) : settings.zones;
  return {
    median,
    p5,
    p95,
    key: keyOf(median),
    range: rangeOf(p5, p95),
    carriedBy: carried,
    ...fits,
    zones: zonesOf(squinted, zoneEdges(squinted, { ...settings, zones })),
  };
}

function sum(counts: ArrayLike<number>): number {
  let total = 0;
  for (let i = 0; i < counts.length; i++) total += counts[i];
  return total;
}
