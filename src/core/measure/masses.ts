import type { Oklab } from '../colour/oklab';
import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { countingSort } from '../raster/counting-sort';
import { disjointSets, findRoot } from '../raster/disjoint-sets';
import { gridEdges } from '../raster/grid-edges';
import { polesOfInaccessibility } from '../raster/pole-of-inaccessibility';

/** One mass: a connected part of the picture of nearly one colour. */
export interface Mass {
  /** Of the picture, 0–1. */
  share: number;
  /** Mean OKLab of its cells, and their mean Munsell value, 0–10. */
  colour: Oklab;
  value: number;
  /** The place deepest inside it, in fractions of the picture. */
  place: Place;
}

export interface Masses {
  grid: ColourGrid;
  /** The mass of each cell; −1 where nothing is. */
  labels: Int16Array;
  masses: Mass[];
}

/** Cells along the longer side that masses are read on. */
export const MASS_CELLS = 180;

/** How large a mass has to be to hold its own against a neighbour of another colour. */
const MIN_SHARE = 0.004;
/** Neighbours nearer than this in OKLab are one mass. */
const ONE_COLOUR = 0.032;
/** A border with less than this across it is no edge, and what it parts is one turn of light … */
const NO_EDGE = 0.016;
/** … while the two are no farther apart than this on the whole. */
const ONE_TURN = 0.09;
/** How strongly small pieces are joined: the larger, the coarser. In OKLab distance × cells. */
const COARSENESS = 0.35;

/**
 * The masses of a picture, best read on its squint. Cells are joined along their least differences
 * while a difference is no larger than those inside the pieces it would join; then pieces that are
 * too small go to the neighbour most like them, and neighbours of nearly one colour, or with no edge
 * between them, are joined.
 * Source: P. Felzenszwalb, D. Huttenlocher, "Efficient graph-based image segmentation", IJCV 59(2), 2004.
 */
export function massesOf(grid: ColourGrid): Masses {
  const parts = mergeCells(grid);
  const beside = neighboursOf(parts, grid.oklab);
  absorbSmallRegions(parts, beside);
  mergeSimilarRegions(parts, beside);
  return describeMasses(grid, parts);
}

interface Region {
  cells: number;
  L: number;
  a: number;
  b: number;
}

/** A union of cells: `parent` chains lead to a root, whose part holds the sums. */
interface Regions {
  width: number;
  parent: Int32Array;
  part: Map<number, Region>;
  cellCount: number;
}

function mergeCells(grid: ColourGrid): Regions {
  const { width, height, oklab, mask } = grid;
  const cells = width * height;
  const ends = gridEdges(grid);
  const gaps = new Float64Array(ends.length / 2);
  for (let edge = 0; edge < gaps.length; edge++)
    gaps[edge] = gapBetween(oklab, ends[edge * 2], ends[edge * 2 + 1]);
  const order = countingSort(gaps);
  const parent = disjointSets(cells);
  const size = new Int32Array(cells).fill(1);
  const limit = new Float32Array(cells).fill(COARSENESS);
  for (const edge of order) {
    const one = findRoot(parent, ends[edge * 2]);
    const other = findRoot(parent, ends[edge * 2 + 1]);
    if (one === other || gaps[edge] > Math.min(limit[one], limit[other])) continue;
    parent[other] = one;
    size[one] += size[other];
    limit[one] = gaps[edge] + COARSENESS / size[one];
  }
  const part = new Map<number, Region>();
  let count = 0;
  for (let c = 0; c < cells; c++) {
    if (!mask[c]) continue;
    count++;
    const root = findRoot(parent, c);
    const sum = part.get(root) ?? { cells: 0, L: 0, a: 0, b: 0 };
    sum.cells++;
    sum.L += oklab[c * 3];
    sum.a += oklab[c * 3 + 1];
    sum.b += oklab[c * 3 + 2];
    part.set(root, sum);
  }
  return { width, parent, part, cellCount: count };
}

/** The OKLab distance of two cells. */
function gapBetween(oklab: Float32Array, c: number, d: number): number {
  return Math.sqrt(
    (oklab[c * 3] - oklab[d * 3]) ** 2 +
      (oklab[c * 3 + 1] - oklab[d * 3 + 1]) ** 2 +
      (oklab[c * 3 + 2] - oklab[d * 3 + 2]) ** 2,
  );
}

function distance(one: Region, other: Region): number {
  return Math.hypot(
    one.L / one.cells - other.L / other.cells,
    one.a / one.cells - other.a / other.cells,
    one.b / one.cells - other.b / other.cells,
  );
}

function join({ parent, part }: Regions, one: number, other: number): void {
  const into = part.get(one) as Region;
  const from = part.get(other) as Region;
  parent[other] = one;
  part.delete(other);
  for (const key of ['cells', 'L', 'a', 'b'] as const) into[key] += from[key];
}

/** How two neighbours meet: along how many cells, and the sum of their differences there. */
interface SharedBorder {
  cells: number;
  gaps: number;
}
/** For each root the roots beside it. */
type Neighbours = Map<number, Map<number, SharedBorder>>;

function neighboursOf({ width, parent, part }: Regions, oklab: Float32Array): Neighbours {
  const beside: Neighbours = new Map([...part.keys()].map((root) => [root, new Map()]));
  const meet = (c: number, d: number, along: number) => {
    const one = findRoot(parent, c);
    const other = findRoot(parent, d);
    const [ofOne, ofOther] = [beside.get(one), beside.get(other)];
    if (one === other || !ofOne || !ofOther) return;
    // A cell farther in on either side, where an edge that runs through a cell is over.
    const inner =
      parent[c - along] !== undefined && findRoot(parent, c - along) === one ? c - along : c;
    const outer =
      parent[d + along] !== undefined && findRoot(parent, d + along) === other ? d + along : d;
    const meeting = ofOne.get(other) ?? { cells: 0, gaps: 0 };
    meeting.cells++;
    meeting.gaps += gapBetween(oklab, inner, outer);
    ofOne.set(other, meeting);
    ofOther.set(one, meeting);
  };
  for (let c = 0; c < parent.length; c++) {
    if ((c + 1) % width !== 0) meet(c, c + 1, 1);
    if (c + width < parent.length) meet(c, c + width, width);
  }
  return beside;
}

/** Joins `other` into `one` among the neighbours. */
function mergeAdjacency(beside: Neighbours, one: number, other: number): void {
  for (const [third, { cells, gaps }] of beside.get(other) ?? []) {
    beside.get(third)?.delete(other);
    if (third === one) continue;
    const was = beside.get(one)?.get(third) ?? { cells: 0, gaps: 0 };
    const now = { cells: was.cells + cells, gaps: was.gaps + gaps };
    beside.get(third)?.set(one, now);
    beside.get(one)?.set(third, now);
  }
  beside.delete(other);
}

/** Merges each region that is too small into the neighbour most like it, the smallest first. */
function absorbSmallRegions(parts: Regions, beside: Neighbours): void {
  const { part, cellCount } = parts;
  const small = [...part.entries()]
    .filter(([, { cells }]) => cells < MIN_SHARE * cellCount)
    .sort(([, one], [, other]) => one.cells - other.cells)
    .map(([root]) => root);
  for (const root of small) {
    const mine = part.get(root);
    if (!mine || mine.cells >= MIN_SHARE * cellCount) continue;
    const nearest = argMin([...(beside.get(root)?.keys() ?? [])], (other) =>
      distance(mine, part.get(other) as Region),
    );
    if (nearest === null) continue;
    join(parts, nearest, root);
    mergeAdjacency(beside, nearest, root);
  }
}

/** Joins neighbours of nearly one colour, and those that one turns into the other without an edge, the most alike first. */
function mergeSimilarRegions(parts: Regions, beside: Neighbours): void {
  const { part } = parts;
  for (;;) {
    let pair: [number, number] | null = null;
    let nearest = Infinity;
    for (const [one, others] of beside)
      for (const [other, { cells, gaps }] of others) {
        const apart = distance(part.get(one) as Region, part.get(other) as Region);
        const turns = gaps / cells < NO_EDGE && apart < ONE_TURN;
        if ((apart < ONE_COLOUR || turns) && apart < nearest) {
          nearest = apart;
          pair = [one, other];
        }
      }
    if (!pair) return;
    join(parts, ...pair);
    mergeAdjacency(beside, ...pair);
  }
}

function argMin(of: readonly number[], by: (entry: number) => number): number | null {
  let best: number | null = null;
  let lowest = Infinity;
  for (const entry of of) {
    const n = by(entry);
    if (n < lowest) {
      lowest = n;
      best = entry;
    }
  }
  return best;
}

/** The masses from the largest to the smallest. */
function describeMasses(grid: ColourGrid, { parent, part, cellCount }: Regions): Masses {
  const roots = [...part.entries()]
    .sort(([, one], [, other]) => other.cells - one.cells)
    .map(([root]) => root);
  const numberOf = new Map(roots.map((root, i) => [root, i]));
  const labels = Int16Array.from(parent, (_, c) =>
    grid.mask[c] ? (numberOf.get(findRoot(parent, c)) as number) : -1,
  );
  const values = new Float64Array(roots.length);
  labels.forEach((mass, c) => {
    if (mass >= 0) values[mass] += grid.value[c];
  });
  const deepest = polesOfInaccessibility(labels, grid.width, roots.length);
  const masses = roots.map((root, i): Mass => {
    const { cells, L, a, b } = part.get(root) as Region;
    return {
      share: cells / cellCount,
      colour: { L: L / cells, a: a / cells, b: b / cells },
      value: values[i] / cells,
      place: placeOfCell(grid, deepest[i]),
    };
  });
  return { grid, labels, masses };
}
