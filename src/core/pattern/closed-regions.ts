import { DrawingError } from './drawing-error';
import { connectedComponents } from '../raster/connected-components';
import { disjointSets, findRoot } from '../raster/disjoint-sets';
import { spreadWave } from '../raster/wavefront';

/** The places that lines close off. */
export interface ClosedRegions {
  /** For each pixel the number of its region, also below the lines: the nearest one's; the largest region first. */
  labels: Int32Array;
  /** Pixels of each region, without those below lines. */
  sizes: number[];
  /** Gaps in lines that were bridged: where (pixels), how wide, and between which regions. */
  bridged: { x: number; y: number; width: number; between: [number, number] }[];
}

export interface RegionOptions {
  /** Gaps of up to so many pixels are bridged. */
  gap: number;
  /** Smaller regions (pixels) are no region of their own. */
  smallest: number;
  /** Whether what leaves on one side comes in on the other: a tile. */
  repeats: boolean;
}

/**
 * The regions between lines (`ink` is 1 on a line, row by row). What is further from any line than half a gap belongs to a region for
 * sure; from there they grow, and where two meet on bare paper there is a gap, which is bridged, unless one of them is no
 * more than a passage. Throws a DrawingError where
 * there is no paper.
 */
export function closedRegions(
  ink: Uint8Array,
  width: number,
  height: number,
  { gap, smallest, repeats }: RegionOptions,
): ClosedRegions {
  const cells = width * height;
  if (!ink.includes(0)) throw new DrawingError('there is nothing between the lines.');
  const steps = distanceToInk(ink, width, cells);
  const sure = filledBy(cells, (c) => (2 * steps[c] > gap + 1 ? 1 : 0));
  const { labels: cores, size } = connectedComponents(sure, width, height, 0);
  const labels = cores.slice();
  grow(labels, width, cells, (cell) => ink[cell] === 0);
  // Paper that no core reaches is narrower than a gap everywhere: it is a region if it is closed.
  const narrow = filledBy(cells, (c) => (labels[c] < 0 && ink[c] === 0 ? 1 : 0));
  const left = connectedComponents(narrow, width, height, 0);
  for (let c = 0; c < cells; c++) if (left.labels[c] >= 0) labels[c] = size.length + left.labels[c];
  const count = size.length + left.size.length;
  const parent = disjointSets(count);
  const meetings = meetingPlaces(labels, width, height);
  joinPassages(meetings, inradii(labels, steps, count), (PASSAGE * gap) / 2, parent);
  if (repeats) joinSides(labels, ink, parent, width, height);
  const sizes = new Float64Array(count);
  for (let c = 0; c < cells; c++) if (labels[c] >= 0) sizes[findRoot(parent, labels[c])]++;
  const order = Array.from(sizes.keys())
    .filter((region) => sizes[region] >= Math.max(1, smallest))
    .sort((one, other) => sizes[other] - sizes[one] || one - other);
  const number = new Int32Array(count).fill(-1);
  order.forEach((region, i) => (number[region] = i));
  const numberOf = (label: number) => (label < 0 ? -1 : number[findRoot(parent, label)]);
  for (let c = 0; c < cells; c++) labels[c] = numberOf(labels[c]);
  // Below the lines, and over what is too small, the nearest region goes on.
  grow(labels, width, cells, () => true);
  return {
    labels,
    sizes: order.map((region) => sizes[region]),
    bridged: meetings.flatMap(({ between: [one, other], ...place }) => {
      const pair: [number, number] = [numberOf(one), numberOf(other)];
      return pair[0] >= 0 && pair[1] >= 0 && pair[0] !== pair[1]
        ? [{ ...place, between: pair }]
        : [];
    }),
  };
}

/** `Int32Array.from` goes through an iterator: over millions of pixels that takes seconds. */
function filledBy(cells: number, valueAt: (cell: number) => number): Int32Array {
  const filled = new Int32Array(cells);
  for (let c = 0; c < cells; c++) filled[c] = valueAt(c);
  return filled;
}

/** A region that is hardly wider than a gap is a passage of its neighbour, not a pane beyond a gap: so many times as wide. */
const PASSAGE = 1.6;

/** For each region how far from any line it reaches, in pixels. */
function inradii(labels: Int32Array, steps: Int32Array, count: number): Int32Array {
  const radii = new Int32Array(count);
  for (let c = 0; c < labels.length; c++)
    if (labels[c] >= 0 && steps[c] > radii[labels[c]]) radii[labels[c]] = steps[c];
  return radii;
}

/** Makes one of regions that meet where one of them is a passage: two lines that run towards each other leave no gap. */
function joinPassages(
  meetings: readonly { between: [number, number] }[],
  radii: Int32Array,
  narrow: number,
  parent: Int32Array,
): void {
  for (const {
    between: [one, other],
  } of meetings) {
    if (Math.min(radii[one], radii[other]) > narrow) continue;
    const [a, b] = [findRoot(parent, one), findRoot(parent, other)];
    if (a !== b) parent[Math.max(a, b)] = Math.min(a, b);
  }
}

/** Pixels to the nearest line, along rows, columns and diagonals (a diagonal step counts as one). */
function distanceToInk(ink: Uint8Array, width: number, cells: number): Int32Array {
  const distance = new Int32Array(cells).fill(-1);
  let ring: number[] = [];
  for (let c = 0; c < cells; c++)
    if (ink[c]) {
      distance[c] = 0;
      ring.push(c);
    }
  if (ring.length === 0) return distance.fill(cells);
  for (let step = 1; ring.length > 0; step++) {
    const next: number[] = [];
    for (const c of ring) {
      const x = c % width;
      for (let dy = -width; dy <= width; dy += width)
        for (let dx = -1; dx <= 1; dx++) {
          const beside = c + dy + dx;
          if (x + dx < 0 || x + dx >= width || beside < 0 || beside >= cells) continue;
          if (distance[beside] >= 0) continue;
          distance[beside] = step;
          next.push(beside);
        }
    }
    ring = next;
  }
  return distance;
}

/** Spreads labels to the cells that may be entered, the nearest first. */
function grow(
  labels: Int32Array,
  width: number,
  cells: number,
  mayEnter: (cell: number) => boolean,
): void {
  const seeds: number[] = [];
  for (let c = 0; c < cells; c++) if (labels[c] >= 0) seeds.push(c);
  spreadWave(seeds, width, cells, (cell, from) => {
    if (labels[cell] >= 0 || !mayEnter(cell)) return false;
    labels[cell] = labels[from];
    return true;
  });
}

/** Where two regions meet on bare paper: each stretch of it once, with its middle and how long it is. */
function meetingPlaces(labels: Int32Array, width: number, height: number) {
  const found = new Map<number, { between: [number, number]; cells: number[] }>();
  const most = labels.reduce((max, label) => Math.max(max, label), 0) + 1;
  for (let c = 0; c < labels.length; c++)
    for (const d of [(c + 1) % width === 0 ? -1 : c + 1, c + width]) {
      if (d < 0 || d >= labels.length) continue;
      const [one, other] = [labels[c], labels[d]];
      if (one < 0 || other < 0 || one === other) continue;
      const between: [number, number] = [Math.min(one, other), Math.max(one, other)];
      const key = between[0] * most + between[1];
      const pair = found.get(key) ?? { between, cells: [] };
      pair.cells.push(c);
      found.set(key, pair);
    }
  const bridged: ClosedRegions['bridged'] = [];
  for (const { between, cells } of found.values()) {
    const own = new Set(cells);
    while (own.size > 0) {
      const stretch = taken(own, width);
      const mean = (of: (cell: number) => number) =>
        stretch.reduce((sum, cell) => sum + of(cell), 0) / stretch.length;
      const spread = (of: (cell: number) => number) =>
        Math.max(...stretch.map(of)) - Math.min(...stretch.map(of)) + 1;
      const [xOf, yOf] = [
        (cell: number) => cell % width,
        (cell: number) => Math.floor(cell / width),
      ];
      bridged.push({
        between,
        x: mean(xOf) + 0.5,
        y: mean(yOf) + 0.5,
        width: Math.max(spread(xOf), spread(yOf)),
      });
    }
  }
  return bridged.filter(({ x, y }) => x < width && y < height);
}

/** Takes one stretch of neighbouring cells out of a set. */
function taken(cells: Set<number>, width: number): number[] {
  const [first] = cells;
  const stretch = [first];
  cells.delete(first);
  for (let i = 0; i < stretch.length; i++)
    for (const dy of [-width, 0, width])
      for (const dx of [-1, 0, 1]) {
        const beside = stretch[i] + dy + dx;
        if (cells.delete(beside)) stretch.push(beside);
      }
  return stretch;
}

/** What leaves a tile on one side is what comes in on the other. */
function joinSides(
  labels: Int32Array,
  ink: Uint8Array,
  parent: Int32Array,
  width: number,
  height: number,
): void {
  const join = (one: number, other: number) => {
    if (ink[one] || ink[other] || labels[one] < 0 || labels[other] < 0) return;
    const [a, b] = [findRoot(parent, labels[one]), findRoot(parent, labels[other])];
    if (a !== b) parent[Math.max(a, b)] = Math.min(a, b);
  };
  for (let y = 0; y < height; y++) join(y * width, (y + 1) * width - 1);
  for (let x = 0; x < width; x++) join(x, x + (height - 1) * width);
}
