import { disjointSets, findRoot } from '../raster/disjoint-sets';
import { adjacentLabels } from '../raster/grid-edges';
import { quantileOf } from '../raster/quantile';
import { noiseAt, type Ground } from './ground';
import { chromaRegions, type ChromaRegion } from './chroma-regions';

/** A part of the ground that departs from the cast to one side. */
export interface Departure extends ChromaRegion {
  /** From the cast, in OKLab a and b. */
  away: readonly [number, number];
  /** What it had to depart by to be believed. */
  needed: number;
}

/** The least that a hidden colour departs from the cast, and in so many standard errors. */
export const MIN_DEPARTURE = 0.008;
const ERRORS = 3;
/** Neighbouring cells err together: a lossy file smears colour over some of them. */
const TOGETHER = 4;
/** Leans from this departure on may belong to a region, as its soft rim does. */
const RIM = 0.005;
/** Neighbours whose departures are within this angle are one region: degrees. */
const ONE_SIDE = 12;
/** And within this of the cast's own hue one could be the cast that grows or fades: degrees. */
const FADES = 30;
/** Stronger ones are not hidden: OKLCH chroma. */
const HIDDEN_BELOW = 0.05;
/** Up to this chroma a part is joined with its neighbours, so that the soft rim of what is plain goes with it. */
const JOINED_BELOW = 0.07;
/** Smaller regions are left out: a share of the picture. */
const MIN_SHARE = 0.005;
/** A larger one is a main mass of the picture, plain to see. */
const MAX_SHARE = 1 / 3;
/** A region that spreads by more than this share of its departure is many colours, as a pattern is, and not one. */
const UNEVEN = 0.7;
/** A departure so many times as far as the cast is from grey is no cast that grows. */
const FARTHER = 2;
/** A cast nearer to grey than this has no hue of its own. */
const NO_HUE = 0.004;
/** How much of a departure has to happen across a region's rim, where it could be one hue that fades. */
const STEP = 0.75;
/** And by how much it has to exceed what changes elsewhere over the same distance, at nine places of ten. */
const ABOVE_ELSEWHERE = 2;
/** What a rough file rounds one fading hue to: plateaus this far apart, with rims. */
const ROUNDED = 0.0125;
/** Cells to either side of a rim that are left out, being of both, and that are taken behind them. */
const GAP = 2;
const SIDE = 8;
const WAYS = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
] as const;

/**
 * The regions of a ground that depart from its cast: chroma regions that touch and depart to one side are one.
 * Where a region has the hue of the cast (or the whole picture has but one), it only counts with a rim:
 * one hue that fades slowly is no second colour.
 */
export function departuresOf(ground: Ground): Departure[] {
  const { grid, cast } = ground;
  const { regions: found, of } = chromaRegions(ground);
  let masked = 0;
  for (const one of grid.mask) masked += one;
  const fades = hasOneHue(found, masked);
  const regions = joined(ground, found, of).map((region) => withNeed(ground, region));
  const map = new Int32Array(of.length).fill(-1);
  regions.forEach(({ cells }, i) => cells.forEach((c) => (map[c] = i)));
  return regions.filter((one) => {
    if (one.cells.length < MIN_SHARE * masked || one.cells.length > MAX_SHARE * masked)
      return false;
    if (Math.hypot(one.a, one.b) > HIDDEN_BELOW) return false;
    if (Math.hypot(...one.away) < one.needed) return false;
    if (spreadOf(ground, one) > UNEVEN * Math.hypot(...one.away)) return false;
    return !couldFade(one, cast, fades) || hasRim(ground, one, map);
  });
}

function withNeed({ noise, cast }: Ground, region: ChromaRegion): Departure {
  const error = noiseAt(noise, region.L) * Math.sqrt(TOGETHER / region.cells.length);
  return {
    ...region,
    away: [region.a - cast[0], region.b - cast[1]],
    needed: Math.max(MIN_DEPARTURE, ERRORS * error),
  };
}

/** How far the cells of a region lie from its mean in a and b: the root of the mean square. */
function spreadOf({ smoothed }: Ground, { cells, a, b }: ChromaRegion): number {
  let sum = 0;
  for (const c of cells) sum += (smoothed[c * 2] - a) ** 2 + (smoothed[c * 2 + 1] - b) ** 2;
  return Math.sqrt(sum / cells.length);
}

/** Chroma regions that depart at all; those that touch and depart to one side are merged. */
function joined(
  { grid, cast }: Ground,
  found: readonly ChromaRegion[],
  of: Int32Array,
): ChromaRegion[] {
  const parent = disjointSets(found.length);
  const sums = found.map(({ cells, a, b }) => ({
    n: cells.length,
    a: a * cells.length,
    b: b * cells.length,
  }));
  const rootOf = (i: number) => findRoot(parent, i);
  // Strong colours are left out: the mean of a strong and a quiet one would pass for a quiet colour that is nowhere.
  const departs = found.map(
    ({ a, b }) => Math.hypot(a - cast[0], b - cast[1]) >= RIM && Math.hypot(a, b) <= JOINED_BELOW,
  );
  const awayOf = (i: number) =>
    [sums[i].a / sums[i].n - cast[0], sums[i].b / sums[i].n - cast[1]] as const;
  const touching = adjacentLabels(of, grid.width)
    .filter(([one, other]) => departs[one] && departs[other])
    .map((pair) => ({ pair, angle: between(awayOf(pair[0]), awayOf(pair[1])) }))
    .sort((x, y) => x.angle - y.angle);
  for (const { pair } of touching) {
    const [one, other] = pair.map(rootOf);
    if (one === other || between(awayOf(one), awayOf(other)) > ONE_SIDE) continue;
    parent[other] = one;
    sums[one].n += sums[other].n;
    sums[one].a += sums[other].a;
    sums[one].b += sums[other].b;
  }
  const regions = new Map<number, ChromaRegion[]>();
  found.forEach((region, i) => {
    if (!departs[i]) return;
    const root = rootOf(i);
    regions.set(root, [...(regions.get(root) ?? []), region]);
  });
  return Array.from(regions.values(), together);
}

function together(found: readonly ChromaRegion[]): ChromaRegion {
  const cells = found.flatMap((region) => region.cells);
  const mean = (of: (region: ChromaRegion) => number) =>
    found.reduce((sum, region) => sum + of(region) * region.cells.length, 0) / cells.length;
  return { cells, L: mean(({ L }) => L), a: mean(({ a }) => a), b: mean(({ b }) => b) };
}

/** The angle between two departures in degrees, 0–180. */
function between(one: readonly [number, number], other: readonly [number, number]): number {
  const cross = one[0] * other[1] - one[1] * other[0];
  const dot = one[0] * other[0] + one[1] * other[1];
  return (Math.abs(Math.atan2(cross, dot)) * 180) / Math.PI;
}

/** Whether all that has a hue has the same. */
function hasOneHue(found: readonly ChromaRegion[], masked: number): boolean {
  const coloured = found.filter(
    ({ a, b, cells }) => Math.hypot(a, b) > 1.5 * NO_HUE && cells.length > 0.003 * masked,
  );
  let [a, b] = [0, 0];
  for (const region of coloured) {
    a += region.a * region.cells.length;
    b += region.b * region.cells.length;
  }
  return coloured.every((region) => between([region.a, region.b], [a, b]) <= FADES);
}

/** Whether a departure could be the cast's own hue growing or fading. */
function couldFade({ a, b, away }: Departure, cast: readonly [number, number], oneHue: boolean) {
  const chroma = Math.hypot(...cast);
  if (oneHue) return true;
  if (chroma < NO_HUE || Math.hypot(...away) > FARTHER * chroma) return false;
  const along = (a * cast[0] + b * cast[1]) / chroma;
  const angle = between(away, cast);
  return along > -NO_HUE && Math.min(angle, 180 - angle) < FADES;
}

/**
 * How much colour falls, along a departure, from before a cell to beyond it in one of the four ways:
 * means of some cells on either side of a gap for a soft rim, each side within one region. NaN where
 * the picture ends too soon.
 */
function fallAt(
  { grid, smoothed }: Ground,
  regions: Int32Array,
  c: number,
  [dx, dy]: readonly [number, number],
  [a, b]: readonly [number, number],
): number {
  const { width, height, mask } = grid;
  const x = c % width;
  const y = (c - x) / width;
  let before = 0;
  let beyond = 0;
  for (let way = -1; way <= 1; way += 2) {
    let region = -1;
    let sum = 0;
    let count = 0;
    for (let n = way < 0 ? -GAP : 1 + GAP; count < SIDE; n += way) {
      const u = x + n * dx;
      const v = y + n * dy;
      if (u < 0 || v < 0 || u >= width || v >= height) break;
      const d = v * width + u;
      if (!mask[d] || (count > 0 && regions[d] !== region)) break;
      region = regions[d];
      sum += smoothed[d * 2] * a + smoothed[d * 2 + 1] * b;
      count++;
    }
    if (way < 0) before = sum / count;
    else beyond = sum / count;
  }
  return (before - beyond) / Math.sqrt(a * a + b * b);
}

/** Whether a region ends in a rim: most of it falls off there, and by more than colour does elsewhere. */
function hasRim(ground: Ground, { cells, away }: Departure, regions: Int32Array): boolean {
  const { width, mask } = ground.grid;
  const own = regions[cells[0]];
  const size = Math.hypot(...away);
  const rims: number[] = [];
  for (const c of cells)
    for (const way of WAYS) {
      const x = (c % width) + way[0];
      if (x < 0 || x >= width || (regions[c + way[0] + way[1] * width] ?? own) === own) continue;
      const rim = fallAt(ground, regions, c, way, away);
      if (!Number.isNaN(rim)) rims.push(rim);
    }
  if (rims.length === 0) return false;
  const elsewhere: number[] = [];
  for (let c = 0; c < regions.length; c += 3)
    for (const way of WAYS.slice(0, 2)) {
      const beyond = c + (way[0] + way[1] * width) * (1 + GAP);
      const before = c - (way[0] + way[1] * width) * GAP;
      if (!mask[c] || regions[beyond] !== regions[c] || regions[before] !== regions[c]) continue;
      const there = Math.abs(fallAt(ground, regions, c, way, away));
      if (!Number.isNaN(there)) elsewhere.push(there);
    }
  const rim = quantileOf(rims, 0.5);
  if (ground.rough && size < ROUNDED) return false;
  return rim >= STEP * size && rim >= ABOVE_ELSEWHERE * quantileOf(elsewhere, 0.9);
}
