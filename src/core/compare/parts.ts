import { massesOf, type Masses } from '../measure/masses';
import type { ColourGrid } from '../picture/colour-grid';
import { connectedComponents } from '../raster/connected-components';
import { lengthOf, mediansOf, residualGrid, smoothedResidual, type Residual } from './residual';
import type { StudyCells } from './shift';

/** A mass smaller than this share goes to the neighbour whose difference is most like its own. */
const MIN_SHARE = 0.004;
/** Differences are alike when they part by less than this, or by this share of what they are. */
const ONE_DIFFERENCE = 0.035;
const ALIKE = 0.4;

/** A model in parts that are each off by one difference. */
export interface Parts {
  /** The part of each cell; −1 where nothing is known. */
  labels: Int16Array;
  count: number;
}

/** How far two differences are apart, against how far they may be to be alike: alike below 1. */
export function unlikeness(
  one: readonly [value: number, chroma: number, hue: number],
  other: readonly [value: number, chroma: number, hue: number],
): number {
  const apart = lengthOf(one[0] - other[0], one[1] - other[1], one[2] - other[2]);
  return apart / Math.max(ONE_DIFFERENCE, ALIKE * Math.min(lengthOf(...one), lengthOf(...other)));
}

/**
 * Parts a model where its own masses, the study's and those of their difference cross, and joins touching parts that are
 * off alike: a mistake needs no mass of its own in the model. Only `sound` cells count; others go to the part nearest them.
 */
export function partsOf(
  model: ColourGrid,
  study: StudyCells,
  residual: Residual,
  sound: Uint8Array,
): Parts {
  const { width, height } = model;
  const masked = { ...model, mask: Float32Array.from(residual.mask) };
  const partings: Masses[] = [
    massesOf(masked),
    massesOf({ ...masked, oklab: study.oklab, value: study.value }),
    massesOf(residualGrid(model, smoothedResidual(residual, sound, width))),
  ];
  const crossing = new Int32Array(width * height).fill(-1);
  const numbers = new Map<string, number>();
  for (let c = 0; c < crossing.length; c++) {
    if (!residual.mask[c] || !sound[c]) continue;
    const key = partings.map(({ labels }) => labels[c]).join(' ');
    const known = numbers.get(key);
    crossing[c] = known ?? numbers.size;
    if (known === undefined) numbers.set(key, numbers.size);
  }
  const { labels, size } = connectedComponents(crossing, width, height, -1);
  grownOverEdges(labels, residual.mask, width);
  return joined(labels, size, residual, sound, width);
}

/** Gives each cell on an edge to the part that is nearest by steps along sides. */
function grownOverEdges(labels: Int32Array, mask: Uint8Array, width: number): void {
  const queue: number[] = [];
  labels.forEach((label, c) => {
    if (label >= 0) queue.push(c);
  });
  for (let at = 0; at < queue.length; at++) {
    const c = queue[at];
    const x = c % width;
    for (const d of [x > 0 ? c - 1 : -1, x < width - 1 ? c + 1 : -1, c - width, c + width]) {
      if (d < 0 || d >= labels.length || labels[d] >= 0 || !mask[d]) continue;
      labels[d] = labels[c];
      queue.push(d);
    }
  }
}

/** Joins touching parts whose differences are alike, and what is too small with the neighbour most like it. */
function joined(
  labels: Int32Array,
  size: readonly number[],
  residual: Residual,
  sound: Uint8Array,
  width: number,
): Parts {
  const count = size.length;
  const means = mediansOf(
    labels.map((label, c) => (sound[c] ? label : -1)),
    count,
    residual,
  );
  const cells = size.slice();
  const total = cells.reduce((sum, n) => sum + n, 0);
  const into = Int32Array.from({ length: count }, (_, i) => i);
  const root = (i: number): number => {
    let at = i;
    while (into[at] !== at) at = into[at] = into[into[at]];
    return at;
  };
  const beside = Array.from({ length: count }, () => new Set<number>());
  for (let c = 0; c < labels.length; c++) {
    if (labels[c] < 0) continue;
    for (const d of [(c + 1) % width === 0 ? -1 : c + 1, c + width])
      if (d >= 0 && d < labels.length && labels[d] >= 0 && labels[d] !== labels[c]) {
        beside[labels[c]].add(labels[d]);
        beside[labels[d]].add(labels[c]);
      }
  }
  const apart = (i: number, j: number) =>
    lengthOf(
      means[i * 3] - means[j * 3],
      means[i * 3 + 1] - means[j * 3 + 1],
      means[i * 3 + 2] - means[j * 3 + 2],
    );
  const join = (i: number, j: number) => {
    const [from, to] = cells[i] < cells[j] ? [i, j] : [j, i];
    const all = cells[from] + cells[to];
    for (let k = 0; k < 3; k++)
      means[to * 3 + k] = (means[to * 3 + k] * cells[to] + means[from * 3 + k] * cells[from]) / all;
    cells[to] = all;
    into[from] = to;
    for (const next of beside[from]) if (root(next) !== to) beside[to].add(root(next));
    beside[from].clear();
  };
  const nearest = (i: number) => {
    let best = -1;
    let least = Infinity;
    for (const next of beside[i]) {
      const j = root(next);
      if (j === i) continue;
      const far = apart(i, j);
      if (far < least) [best, least] = [j, far];
    }
    return { best, least };
  };
  // The smallest first: they have least to say.
  const order = [...into].sort((one, other) => size[one] - size[other]);
  for (const start of order) {
    const i = root(start);
    if (cells[i] >= MIN_SHARE * total) continue;
    const { best } = nearest(i);
    if (best >= 0) join(i, best);
  }
  const meanOf = (i: number) => [means[i * 3], means[i * 3 + 1], means[i * 3 + 2]] as const;
  for (;;) {
    let pair: [number, number] | null = null;
    let least = 1;
    for (let i = 0; i < count; i++) {
      if (root(i) !== i) continue;
      for (const next of beside[i]) {
        const j = root(next);
        if (j === i) continue;
        const far = unlikeness(meanOf(i), meanOf(j));
        if (far < least) [pair, least] = [[i, j], far];
      }
    }
    if (!pair) break;
    join(...pair);
  }
  const number = new Map<number, number>();
  const out = Int16Array.from(labels, (label) => {
    if (label < 0) return -1;
    const r = root(label);
    if (!number.has(r)) number.set(r, number.size);
    return number.get(r)!;
  });
  return { labels: out, count: number.size };
}
