import { naturalEdges } from './thresholds';

/** Bins of OKLCH hue, five degrees each. */
export const HUE_BINS = 72;
const BIN = 360 / HUE_BINS;

/** A stretch of the hue circle that is one hue to the eye. */
export interface HueArc {
  /** OKLCH hue of its peak, or its mean where it is part of a wide hump, degrees. */
  hue: number;
  /** Degrees from which and to which it reaches, clockwise; both the same for the whole circle. */
  from: number;
  to: number;
}

/** A peak lower than this part of the highest, or standing out by less, is none of its own. */
const MIN_PEAK = 0.06;
const MIN_PROMINENCE = 0.04;
/** The widest that one hue is, degrees: two neighbouring families. */
const MAX_SPAN = 50;
/** What lies beyond these quantiles of an arc's weight does not widen it. */
const TAILS = [0.05, 0.95] as const;

/**
 * The hues of a picture: peaks of its density by prominence, each as far as the valleys beside it. A hump that is wider
 * than one hue is parted where the spread within its arcs becomes least: a sky that goes from blue-violet to rose
 * has one peak, and is not of one hue.
 *
 * @param raw the weight of each of `HUE_BINS` bins of hue
 * @param density the same, smoothed round the circle
 * @returns none where nothing is coloured
 */
export function hueArcs(raw: ArrayLike<number>, density: readonly number[]): HueArc[] {
  const highest = Math.max(...density);
  if (highest === 0) return [];
  const peaks = prominentPeaks(density, MIN_PROMINENCE * highest).filter(
    (bin) => density[bin] >= MIN_PEAK * highest,
  );
  return peaks.flatMap((peak, i) => {
    const from = valley(density, peaks[(i - 1 + peaks.length) % peaks.length], peak);
    const to = valley(density, peak, peaks[(i + 1) % peaks.length]);
    const parts = parted(raw, from, to);
    return parts.map((part) => ({
      hue: parts.length === 1 ? peakHue(density, peak) : meanHue(raw, part.bins),
      from: part.from * BIN,
      to: part.to * BIN,
    }));
  });
}

/** An arc in bins, and the bins in it in their order. */
interface Part {
  from: number;
  to: number;
  bins: number[];
}

/** As few parts of an arc as are each of one hue. */
function parted(raw: ArrayLike<number>, from: number, to: number): Part[] {
  const width = (to - from + HUE_BINS) % HUE_BINS || HUE_BINS;
  const first = Math.ceil(from - 0.5);
  const count = Math.round(width);
  const bins = Array.from({ length: count }, (_, k) => (first + k + HUE_BINS) % HUE_BINS);
  const weights = bins.map((bin) => raw[bin]);
  for (let parts = 1; ; parts++) {
    const edges = [0, ...(parts > 1 ? naturalEdges(weights, parts) : []), count];
    const slices = edges.slice(1).map((end, i) => [edges[i], end] as const);
    const isWide = ([start, end]: Slice) => spanOf(weights.slice(start, end)) * BIN > MAX_SPAN;
    if (parts < count && slices.some(isWide)) continue;
    const joined = joinedWhile(slices, (slice) => !isWide(slice));
    return joined.map(([start, end], i) => ({
      from: i === 0 ? from : (first + start + HUE_BINS) % HUE_BINS,
      to: i === joined.length - 1 ? to : (first + end) % HUE_BINS,
      bins: bins.slice(start, end),
    }));
  }
}

type Slice = readonly [start: number, end: number];

/**
 * Neighbouring slices joined as long as one that joins two is allowed, the shortest first: a thin tail that
 * had to be parted off parts what is dense as well.
 */
function joinedWhile(slices: readonly Slice[], isAllowed: (slice: Slice) => boolean): Slice[] {
  const joined = [...slices];
  for (;;) {
    let shortest = -1;
    for (let i = 0; i + 1 < joined.length; i++) {
      const length = joined[i + 1][1] - joined[i][0];
      const isShorter = shortest < 0 || length < joined[shortest + 1][1] - joined[shortest][0];
      if (isShorter && isAllowed([joined[i][0], joined[i + 1][1]])) shortest = i;
    }
    if (shortest < 0) return joined;
    joined.splice(shortest, 2, [joined[shortest][0], joined[shortest + 1][1]]);
  }
}

/** How many bins the weight takes up, its tails left off. */
function spanOf(weights: readonly number[]): number {
  const all = weights.reduce((sum, one) => sum + one, 0);
  if (all === 0) return 0;
  const at = (quantile: number) => {
    let before = 0;
    for (let bin = 0; bin < weights.length; bin++) {
      if (weights[bin] > 0 && before + weights[bin] >= quantile * all)
        return bin + (quantile * all - before) / weights[bin];
      before += weights[bin];
    }
    return weights.length;
  };
  return at(TAILS[1]) - at(TAILS[0]);
}

/** The mean hue of neighbouring bins, degrees. */
function meanHue(raw: ArrayLike<number>, bins: readonly number[]): number {
  let weight = 0;
  let sum = 0;
  bins.forEach((bin, k) => {
    weight += raw[bin];
    sum += raw[bin] * (k + 0.5);
  });
  const at = weight > 0 ? sum / weight : bins.length / 2;
  return ((bins[0] + at) * BIN) % 360;
}

/** Bins that stand out by `least` from the lower of the valleys that part them from higher ones. */
function prominentPeaks(density: readonly number[], least: number): number[] {
  const n = density.length;
  const at = (bin: number) => density[((bin % n) + n) % n];
  const peaks: number[] = [];
  for (let bin = 0; bin < n; bin++) {
    if (!(at(bin) > at(bin - 1) && at(bin) >= at(bin + 1))) continue;
    const lowest = [-1, 1].map((way) => {
      let low = at(bin);
      for (let k = 1; k < n; k++) {
        if (at(bin + way * k) > at(bin)) return low;
        low = Math.min(low, at(bin + way * k));
      }
      // The highest of all: held against the deepest.
      return 0;
    });
    if (at(bin) - Math.max(...lowest) >= least) peaks.push(bin);
  }
  return peaks;
}

/** The bin edge in the middle of the lowest stretch on the way from one bin up to another. */
function valley(density: readonly number[], from: number, to: number): number {
  const n = density.length;
  const way = (to - from + n) % n || n;
  const steps = Array.from({ length: way }, (_, k) => density[(from + k) % n]);
  const lowest = Math.min(...steps);
  const first = steps.indexOf(lowest);
  const last = steps.lastIndexOf(lowest);
  return (from + (first + last) / 2 + 0.5) % n;
}

/** The hue of a peak between its bins, by the parabola through it and its neighbours. */
function peakHue(density: readonly number[], bin: number): number {
  const n = density.length;
  const [left, middle, right] = [-1, 0, 1].map((by) => density[(bin + by + n) % n]);
  const bend = left - 2 * middle + right;
  const off = bend === 0 ? 0 : (0.5 * (left - right)) / bend;
  return ((bin + 0.5 + off) * BIN + 360) % 360;
}
