import { noiseAt, type Ground } from './ground';
import { disjointSets, findRoot } from '../raster/disjoint-sets';
import { countingSort } from '../raster/counting-sort';
import { gridEdges } from '../raster/grid-edges';

/** A connected part of the ground of one region: of nearly one a and b, whatever its lightness does. */
export interface ChromaRegion {
  cells: number[];
  /** Means over its cells. */
  L: number;
  a: number;
  b: number;
}

/** Neighbours whose means are nearer than this in a and b are one region. */
const ONE_REGION = 0.0045;
/** What makes a difference in a and b a key of 0 to 1 for sorting: those above 0.06 are alike to it. */
const FINENESS = 16;
/** So are those whose difference noise explains: this many standard errors. */
const ERRORS = 2;
/** Regions smaller than this share go to the neighbour most like them. */
const MIN_SHARE = 0.0015;

/**
 * Segments the ground by chroma: cells are merged along their smallest differences of a and b while the
 * means of their regions are alike, so that a slow change of hue is cut into bands; then each region that
 * is too small is merged into its most similar neighbour.
 * Source: R. Nock, F. Nielsen, "Statistical region merging", IEEE TPAMI 26(11), 2004, with the
 * bound replaced by one that measured noise gives.
 */
export function chromaRegions(ground: Ground): { regions: ChromaRegion[]; of: Int32Array } {
  const { grid, smoothed, noise } = ground;
  const { width, height, oklab, mask } = grid;
  const cells = width * height;
  const parent = disjointSets(cells);
  const size = new Float64Array(cells).fill(1);
  const sums = Float64Array.from(smoothed);
  const spread = Float64Array.from({ length: cells }, (_, c) => noiseAt(noise, oklab[c * 3]));
  const rootOf = (cell: number) => findRoot(parent, cell);
  const gapOf = (one: number, other: number) => {
    const a = sums[one * 2] / size[one] - sums[other * 2] / size[other];
    const b = sums[one * 2 + 1] / size[one] - sums[other * 2 + 1] / size[other];
    return Math.sqrt(a * a + b * b);
  };
  const join = (one: number, other: number) => {
    parent[other] = one;
    size[one] += size[other];
    sums[one * 2] += sums[other * 2];
    sums[one * 2 + 1] += sums[other * 2 + 1];
  };

  const ends = gridEdges(grid);
  const gaps = new Float64Array(ends.length / 2);
  for (let edge = 0; edge < gaps.length; edge++)
    gaps[edge] = gapOf(ends[edge * 2], ends[edge * 2 + 1]);
  for (const edge of countingSort(gaps.map((gap) => gap * FINENESS))) {
    const one = rootOf(ends[edge * 2]);
    const other = rootOf(ends[edge * 2 + 1]);
    if (one === other) continue;
    const errors =
      Math.max(spread[one], spread[other]) * Math.sqrt(1 / size[one] + 1 / size[other]);
    if (gapOf(one, other) < ONE_REGION + ERRORS * errors) join(one, other);
  }

  let maskedCells = 0;
  for (const one of mask) maskedCells += one;
  const least = MIN_SHARE * maskedCells;
  for (let turn = 0; turn < 8; turn++) {
    const likest = new Map<number, { to: number; gap: number }>();
    for (let edge = 0; edge < gaps.length; edge++) {
      const one = rootOf(ends[edge * 2]);
      const other = rootOf(ends[edge * 2 + 1]);
      if (one === other) continue;
      const gap = gapOf(one, other);
      for (const [small, to] of [
        [one, other],
        [other, one],
      ])
        if (size[small] < least && gap < (likest.get(small)?.gap ?? Infinity))
          likest.set(small, { to, gap });
    }
    if (likest.size === 0) break;
    for (const [small, { to }] of [...likest].sort((x, y) => x[1].gap - y[1].gap)) {
      const [one, other] = [rootOf(to), rootOf(small)];
      if (one !== other) join(one, other);
    }
  }
  return described(ground, rootOf);
}

function described({ grid }: Ground, rootOf: (cell: number) => number) {
  const { mask, oklab } = grid;
  const of = new Int32Array(mask.length).fill(-1);
  const numbers = new Map<number, number>();
  const regions: ChromaRegion[] = [];
  for (let c = 0; c < mask.length; c++) {
    if (!mask[c]) continue;
    const root = rootOf(c);
    let number = numbers.get(root);
    if (number === undefined) {
      number = regions.push({ cells: [], L: 0, a: 0, b: 0 }) - 1;
      numbers.set(root, number);
    }
    of[c] = number;
    const region = regions[number];
    region.cells.push(c);
    region.L += oklab[c * 3];
    region.a += oklab[c * 3 + 1];
    region.b += oklab[c * 3 + 2];
  }
  for (const region of regions) {
    region.L /= region.cells.length;
    region.a /= region.cells.length;
    region.b /= region.cells.length;
  }
  return { regions, of };
}
