import type { Oklab } from '../colour/oklab';
import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';

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
  of: Int16Array;
  masses: Mass[];
}

/** Cells along the longer side that masses are read on. */
export const MASS_CELLS = 180;

/** How large a mass has to be to hold its own against a neighbour of another colour. */
const LEAST_SHARE = 0.004;
/** Neighbours nearer than this in OKLab are one mass. */
const ONE_COLOUR = 0.032;
/** How strongly small pieces are joined: the larger, the coarser. In OKLab distance × cells. */
const COARSENESS = 0.35;

/**
 * The masses of a picture, best read on its squint. Cells are joined along their least differences
 * while a difference is no larger than those inside the pieces it would join; then pieces that are
 * too small go to the neighbour most like them, and neighbours of nearly one colour are joined.
 * Source: P. Felzenszwalb, D. Huttenlocher, "Efficient graph-based image segmentation", IJCV 59(2), 2004.
 */
export function massesOf(grid: ColourGrid): Masses {
  const parts = joinedCells(grid);
  joinSmall(parts);
  joinAlike(parts);
  return described(grid, parts);
}

interface Part {
  cells: number;
  L: number;
  a: number;
  b: number;
}

/** A union of cells: `parent` chains lead to a root, whose part holds the sums. */
interface Parts {
  width: number;
  parent: Int32Array;
  part: Map<number, Part>;
  seen: number;
}

function rootOf(parent: Int32Array, cell: number): number {
  while (parent[cell] !== cell) cell = parent[cell] = parent[parent[cell]];
  return cell;
}

function joinedCells({ width, height, oklab, seen }: ColourGrid): Parts {
  const cells = width * height;
  const ends: number[] = [];
  const gaps: number[] = [];
  const gap = (c: number, d: number) => {
    if (!seen[c] || !seen[d]) return;
    ends.push(c, d);
    gaps.push(
      Math.sqrt(
        (oklab[c * 3] - oklab[d * 3]) ** 2 +
          (oklab[c * 3 + 1] - oklab[d * 3 + 1]) ** 2 +
          (oklab[c * 3 + 2] - oklab[d * 3 + 2]) ** 2,
      ),
    );
  };
  for (let c = 0; c < cells; c++) {
    if ((c + 1) % width !== 0) gap(c, c + 1);
    if (c + width < cells) gap(c, c + width);
  }
  const order = risingOrder(gaps);
  const parent = Int32Array.from({ length: cells }, (_, c) => c);
  const size = new Int32Array(cells).fill(1);
  const limit = new Float32Array(cells).fill(COARSENESS);
  for (const edge of order) {
    const one = rootOf(parent, ends[edge * 2]);
    const other = rootOf(parent, ends[edge * 2 + 1]);
    if (one === other || gaps[edge] > Math.min(limit[one], limit[other])) continue;
    parent[other] = one;
    size[one] += size[other];
    limit[one] = gaps[edge] + COARSENESS / size[one];
  }
  const part = new Map<number, Part>();
  let count = 0;
  for (let c = 0; c < cells; c++) {
    if (!seen[c]) continue;
    count++;
    const root = rootOf(parent, c);
    const sum = part.get(root) ?? { cells: 0, L: 0, a: 0, b: 0 };
    sum.cells++;
    sum.L += oklab[c * 3];
    sum.a += oklab[c * 3 + 1];
    sum.b += oklab[c * 3 + 2];
    part.set(root, sum);
  }
  return { width, parent, part, seen: count };
}

/** The order of some distances from small to large, counted out in ten thousandths. */
function risingOrder(gaps: readonly number[]): Uint32Array {
  const steps = gaps.map((gap) => Math.min(9999, Math.round(gap * 10_000)));
  const starts = new Uint32Array(10_001);
  for (const step of steps) starts[step + 1]++;
  for (let step = 1; step < starts.length; step++) starts[step] += starts[step - 1];
  const order = new Uint32Array(gaps.length);
  steps.forEach((step, i) => (order[starts[step]++] = i));
  return order;
}

function distance(one: Part, other: Part): number {
  return Math.hypot(
    one.L / one.cells - other.L / other.cells,
    one.a / one.cells - other.a / other.cells,
    one.b / one.cells - other.b / other.cells,
  );
}

function join({ parent, part }: Parts, one: number, other: number): void {
  const into = part.get(one) as Part;
  const from = part.get(other) as Part;
  parent[other] = one;
  part.delete(other);
  for (const key of ['cells', 'L', 'a', 'b'] as const) into[key] += from[key];
}

/** For each root the roots beside it. */
function neighbours({ width, parent, part }: Parts): Map<number, Set<number>> {
  const beside = new Map([...part.keys()].map((root) => [root, new Set<number>()]));
  const meet = (c: number, d: number) => {
    const one = rootOf(parent, c);
    const other = rootOf(parent, d);
    if (one === other || !beside.has(one) || !beside.has(other)) return;
    beside.get(one)?.add(other);
    beside.get(other)?.add(one);
  };
  for (let c = 0; c < parent.length; c++) {
    if ((c + 1) % width !== 0) meet(c, c + 1);
    if (c + width < parent.length) meet(c, c + width);
  }
  return beside;
}

/** Joins `other` into `one` in a map of neighbours. */
function meetAs(beside: Map<number, Set<number>>, one: number, other: number): void {
  for (const third of beside.get(other) ?? []) {
    beside.get(third)?.delete(other);
    if (third === one) continue;
    beside.get(third)?.add(one);
    beside.get(one)?.add(third);
  }
  beside.delete(other);
}

/** Gives each piece that is too small to the neighbour most like it, the smallest first. */
function joinSmall(parts: Parts): void {
  const { part, seen } = parts;
  const beside = neighbours(parts);
  const small = [...part.entries()]
    .filter(([, { cells }]) => cells < LEAST_SHARE * seen)
    .sort(([, one], [, other]) => one.cells - other.cells)
    .map(([root]) => root);
  for (const root of small) {
    const mine = part.get(root);
    if (!mine || mine.cells >= LEAST_SHARE * seen) continue;
    const nearest = least([...(beside.get(root) ?? [])], (other) =>
      distance(mine, part.get(other) as Part),
    );
    if (nearest === null) continue;
    join(parts, nearest, root);
    meetAs(beside, nearest, root);
  }
}

/** Joins neighbours of nearly one colour, the most alike first. */
function joinAlike(parts: Parts): void {
  const { part } = parts;
  const beside = neighbours(parts);
  for (;;) {
    let pair: [number, number] | null = null;
    let nearest = ONE_COLOUR;
    for (const [one, others] of beside)
      for (const other of others) {
        const apart = distance(part.get(one) as Part, part.get(other) as Part);
        if (apart < nearest) {
          nearest = apart;
          pair = [one, other];
        }
      }
    if (!pair) return;
    join(parts, ...pair);
    meetAs(beside, ...pair);
  }
}

function least(of: readonly number[], by: (entry: number) => number): number | null {
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
function described(grid: ColourGrid, { parent, part, seen }: Parts): Masses {
  const roots = [...part.entries()]
    .sort(([, one], [, other]) => other.cells - one.cells)
    .map(([root]) => root);
  const numberOf = new Map(roots.map((root, i) => [root, i]));
  const of = Int16Array.from(parent, (_, c) =>
    grid.seen[c] ? (numberOf.get(rootOf(parent, c)) as number) : -1,
  );
  const values = new Float64Array(roots.length);
  of.forEach((mass, c) => {
    if (mass >= 0) values[mass] += grid.value[c];
  });
  const deepest = innermost(of, grid.width, roots.length);
  const masses = roots.map((root, i): Mass => {
    const { cells, L, a, b } = part.get(root) as Part;
    return {
      share: cells / seen,
      colour: { L: L / cells, a: a / cells, b: b / cells },
      value: values[i] / cells,
      place: placeOfCell(grid, deepest[i]),
    };
  });
  return { grid, of, masses };
}

/** For each label of a map the cell that is farthest from any other label and from the border. */
export function innermost(of: Int16Array, width: number, labels: number): Int32Array {
  const last = new Int32Array(labels);
  const reached = new Uint8Array(of.length);
  let wave: number[] = [];
  for (let c = 0; c < of.length; c++) {
    const x = c % width;
    const isRim =
      x === 0 ||
      x === width - 1 ||
      c < width ||
      c >= of.length - width ||
      [c - 1, c + 1, c - width, c + width].some((d) => of[d] !== of[c]);
    if (of[c] < 0 || !isRim) continue;
    reached[c] = 1;
    wave.push(c);
  }
  while (wave.length > 0) {
    const next: number[] = [];
    for (const c of wave) {
      last[of[c]] = c;
      for (const d of [c - 1, c + 1, c - width, c + width]) {
        if (d < 0 || d >= of.length || reached[d] || of[d] !== of[c]) continue;
        reached[d] = 1;
        next.push(d);
      }
    }
    wave = next;
  }
  return last;
}
