import type { Picture } from '../picture/picture';
import {
  greyOfValue,
  NO_VALUE,
  VALUE_BINS,
  valueCounts,
  valueMap,
  valueOfBin,
} from '../picture/value-map';
import { squint } from '../picture/squint';
import { evenEdges, explainedBy, naturalEdges } from './thresholds';

export type Breaks = 'even' | 'natural';
export type Key = 'low' | 'middle' | 'high';
export type ValueRange = 'short' | 'medium' | 'full';

export const FEWEST_ZONES = 2;
export const MOST_ZONES = 9;

/** One zone of value; all values Munsell, 0–10. */
export interface Zone {
  from: number;
  to: number;
  /** Share of the picture, 0–1. */
  share: number;
  /** Mean value of what lies in it; the middle of the zone when nothing does. */
  mean: number;
}

/** What a value reading is made with. */
export interface ValueSettings {
  /** How many zones, 2–9; or as many as carry the picture. */
  zones: number | 'carried';
  breaks: Breaks;
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

/** Bin edges between `count` zones (2–9). Throws a RangeError outside that. */
export function zoneEdges(counts: ArrayLike<number>, count: number, breaks: Breaks): number[] {
  if (!Number.isInteger(count) || count < FEWEST_ZONES || count > MOST_ZONES)
    throw new RangeError(`${count} zones; ${FEWEST_ZONES} to ${MOST_ZONES} can be read`);
  return breaks === 'even' ? evenEdges(VALUE_BINS, count) : naturalEdges(counts, count);
}

export function zonesOf(counts: ArrayLike<number>, edges: readonly number[]): Zone[] {
  const total = sum(counts);
  const bounds = [0, ...edges, counts.length];
  return bounds.slice(1).map((end, i) => {
    const start = bounds[i];
    let inside = 0;
    let weighted = 0;
    for (let bin = start; bin < end; bin++) {
      inside += counts[bin];
      weighted += counts[bin] * valueOfBin(bin);
    }
    const from = (start / counts.length) * 10;
    const to = (end / counts.length) * 10;
    return {
      from,
      to,
      share: total ? inside / total : 0,
      mean: inside ? weighted / inside : (from + to) / 2,
    };
  });
}

/**
 * The value reading of a picture. Throws a RangeError when the picture has no opaque pixel, the
 * number of zones is not 2–9 or the squint not 0–0.05.
 */
export function readValues(picture: Picture, settings: ValueSettings): ValueReading {
  const squinted = squint(picture, settings.squint);
  const counts = valueCounts(valueMap(picture));
  return readCounts(
    counts,
    squinted === picture ? counts : valueCounts(valueMap(squinted)),
    settings,
  );
}

/** `readValues` from the histograms (`VALUE_BINS` bins) of a picture as it is and squinted at. */
export function readCounts(
  counts: ArrayLike<number>,
  squinted: ArrayLike<number>,
  { zones, breaks }: Pick<ValueSettings, 'zones' | 'breaks'>,
): ValueReading {
  if (sum(counts) === 0) throw new RangeError('nothing to read: every pixel is transparent');
  const median = quantile(counts, 0.5);
  const p5 = quantile(counts, 0.05);
  const p95 = quantile(counts, 0.95);
  const curve = explainedBy(squinted, MOST_ZONES);
  const carried = carriedBy(curve);
  const count = zones === 'carried' ? Math.max(FEWEST_ZONES, carried) : zones;
  return {
    median,
    p5,
    p95,
    key: keyOf(median),
    range: rangeOf(p5, p95),
    carriedBy: carried,
    curve,
    zones: zonesOf(squinted, zoneEdges(squinted, count, breaks)),
  };
}

/** The zone number of each bin: `VALUE_BINS` entries. */
export function zoneOfBin(edges: readonly number[]): Uint8Array {
  return Uint8Array.from(
    { length: VALUE_BINS },
    (_, bin) => edges.filter((edge) => bin >= edge).length,
  );
}

/** The picture with every zone flat in the grey of its mean value; `map` is its value map. */
export function zonePicture(picture: Picture, map: Uint8Array, edges: readonly number[]): Picture {
  const greys = zonesOf(valueCounts(map), edges).map((zone) => greyOfValue(zone.mean));
  const zones = zoneOfBin(edges);
  const data = new Uint8ClampedArray(picture.data.length);
  for (let p = 0; p < map.length; p++) {
    if (map[p] === NO_VALUE) continue;
    const i = p * 4;
    data[i] = data[i + 1] = data[i + 2] = greys[zones[map[p]]];
    data[i + 3] = 255;
  }
  return { width: picture.width, height: picture.height, data };
}

function sum(counts: ArrayLike<number>): number {
  let total = 0;
  for (let i = 0; i < counts.length; i++) total += counts[i];
  return total;
}
